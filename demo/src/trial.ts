import type { TrialInput } from '@dewpot/contract';

/** What the casters try on their small pots since the autumn: whether tapping is worth its minute. */
export const demoTrial = {
  name: 'demo.tappingTrial',
  kind: 'other',
  a: 'demo.notTapped',
  b: 'demo.tappedThirty',
  watched: 'pinholes',
  worse: 0.5,
  better: 0.9,
} satisfies Omit<TrialInput, 'version' | 'mouldId'>;
