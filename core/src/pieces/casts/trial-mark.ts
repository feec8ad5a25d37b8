/** What a trial changes: the release or the cover of each copy, or something else that its caster has named. */
export const trialKinds = ['release', 'cover', 'other'] as const;
export type TrialKind = (typeof trialKinds)[number];

export type TrialSide = 'a' | 'b';

/** What a cast keeps of the trial that it is of. */
export interface TrialMark {
  readonly id: string;
  readonly name: string;
  readonly kind: TrialKind;
  readonly side: TrialSide;
  readonly way: string;
}
