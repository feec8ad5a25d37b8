export * from './figures-to-judge.js';
export * from './judge-pour.js';
export * from './judged.js';
export * from './least-wall.js';
export * from './mixes-that-fit.js';
