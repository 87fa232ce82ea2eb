export * from './text';
export * from './number-plan';
export * from './account';
export * from './operation';
export * from './access';
export * from './client';
export * from './bench';
export * from './problem';
