export { CoatForm } from './coat-form';
export { DecorateForm } from './decorate-form';
export { DrynessSlab } from './dryness-slab';
export { LeachingSlab } from './leaching-slab';
export { SealedSlab } from './sealed-slab';
export { TestForm, CheckForm } from './test-forms';
export { WeighForm } from './weigh-form';
