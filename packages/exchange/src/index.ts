export * from './chart-table';
export * from './csv';
export * from './workbook';
export * from './json';
export * from './audit-xml';
export * from './audit-tables';
export * from './printed-chart';
export * from './return-workbook';
