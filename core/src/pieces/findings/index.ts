export * from './baseline.js';
export * from './causes.js';
export * from './circumstances.js';
export * from './compare-means.js';
export * from './compare-shares.js';
export * from './compare-ways.js';
export * from './explain-fault.js';
export * from './fault-regression.js';

export * from './finding-record.js';
export * from './found-faults.js';
export * from './gather-record.js';
export * from './phases.js';
export * from './poured-under.js';
export * from './stood-under.js';
export * from './trial.js';
export * from './verdict.js';
export * from './watch.js';
