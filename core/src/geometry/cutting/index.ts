export * from './cut-lengths.js';
export * from './lay-sheets.js';
export * from './sheets.js';
export * from './stock.js';
