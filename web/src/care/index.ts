export { LookOverForm } from './inspect-form';
export { LookBackForm } from './look-back-form';
export { PutOutForm } from './put-out-form';
export { ShareSlab } from './share-slab';
