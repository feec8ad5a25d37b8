export { loadGuide } from './chapters';
export { findInGuide, type GuideHit } from './search';
