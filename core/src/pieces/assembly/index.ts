export * from './article.js';
export * from './bonds.js';
export * from './contact.js';
export * from './expected.js';
export * from './parts-ready.js';
