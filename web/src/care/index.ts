export { InspectForm } from './inspect-form';
export { RecordConditionForm } from './record-condition-form';
export { FinishForm } from './finish-form';
export { ShareSlab } from './share-slab';
