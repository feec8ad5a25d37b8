export * from './cut-lengths.js';
