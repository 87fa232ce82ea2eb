export * from './a-chart';
