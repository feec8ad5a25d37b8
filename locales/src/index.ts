export * from './languages.js';
export * from './numbers.js';
export * from './reader.js';
export * from './said.js';
export * from './speaker.js';
