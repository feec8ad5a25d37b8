export { chainOf, wantedStates, type ChainPiece } from './chain.js';
export { chancesOf, type DrawnLine, type DrawWays } from './chance.js';
export * from './check-schedule.js';
export * from './least-poured.js';
export * from './problem.js';
export * from './programme.js';
export * from './week.js';
