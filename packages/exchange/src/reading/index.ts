export * from './limits';
export * from './file-problem';
export { type FileRead, type Sheet } from './sheet';
export { readFile, type Reading } from './read-file';
