export { LookOverForm } from './look-over-form';
export { WhyPour } from './why-pour';
export { WhySlab } from './why-slab';
