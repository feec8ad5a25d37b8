export { LookOverForm } from './look-over-form';
export { WhySlab } from './why-slab';
