export { AmbientSlab } from './ambient-slab';
export { BatheForm, EndBathForm } from './bath-forms';
export { DemouldForm } from './demould-form';
export { DemouldSlab } from './demould-slab';
export { DressForm } from './dress-form';
export { PullForm } from './pull-form';
export { CoverForm, MoveForm } from './standing-forms';
export { WetForm, UncoverForm } from './wet-forms';
