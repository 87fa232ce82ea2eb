export * from './chart-table';
export * from './csv';
export * from './workbook';
export * from './json';
