export * from './rate.js';
export * from './setting-times.js';
export * from './strength-share.js';
