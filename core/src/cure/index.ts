export * from './evaporation.js';
export * from './learn-lift-out.js';
export * from './maturity.js';
export * from './reckon.js';
export * from './setting-times.js';
export * from './strength-share.js';
