export * from './check-schedule.js';
export * from './least-poured.js';
export * from './problem.js';
export * from './programme.js';
export * from './week.js';
