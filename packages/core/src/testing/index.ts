export * from './a-chart';
export * from './published-names';
export * from './named-source';
export * from './a-list';
export * from './random';
export * from './answers';
