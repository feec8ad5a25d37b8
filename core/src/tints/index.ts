export * from './face-colour.js';
export * from './wet-look.js';
