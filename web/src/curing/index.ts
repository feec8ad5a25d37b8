export { AmbientSlab } from './ambient-slab';
export { SoakForm, EndSoakForm } from './soak-forms';
export { DemouldForm } from './demould-form';
export { DemouldSlab } from './demould-slab';
export { TrimForm } from './trim-form';
export { RemoveCoreForm } from './remove-core-form';
export { CoverForm, MoveForm } from './standing-forms';
export { WetForm, EndMoistCuringForm } from './wet-forms';
