export { lessonsFor, resolveMix } from './resolve';
