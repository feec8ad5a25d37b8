export { resolveMix } from './resolve';
