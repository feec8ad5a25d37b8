export { conditionsFor, lessonsFor, resolveMix } from './resolve';
