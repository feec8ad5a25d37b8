import type { Life, Stage } from '@dewpot/core/casts';

export const stageWords: Record<Stage, string> = {
  setting: 'setting in its mould',
  curing: 'in its moist curing',
  drying: 'drying',
  sealed: 'sealed',
  joined: 'assembled',
  finished: 'finished',
  broken: 'broken',
};

/** Where a cast stands in the work; an article in its clamps is in no mould. */
export const stageOf = ({ stage, life }: { readonly stage: Stage; readonly life: Pick<Life, 'joint'> }): string =>
  stage === 'setting' && life.joint ? 'clamped' : stageWords[stage];
