import type { Stage } from '@dewpot/core';

export const stageWords: Record<Stage, string> = {
  setting: 'setting in its mould',
  damp: 'in its damp cure',
  drying: 'drying',
  sealed: 'sealed',
  joined: 'part of an article',
  out: 'out of the door',
  broken: 'broken',
};
