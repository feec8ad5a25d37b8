import type { AllWays, Circumstances, Explanation, PourExplanation, WatchedCasts } from '@dewpot/core/findings';
import type { SeenFault, VoidsCounted } from '@dewpot/core/casts';

/** What is known of why a cast came out as it did. */
export interface CastFindings {
  /** It left its mould: until then nothing can be said. */
  readonly seen: boolean;
  readonly good: boolean;
  readonly faults: readonly SeenFault[];
  readonly explanations: readonly Explanation[];
  readonly under: Circumstances;
  /** All casts that it was compared with. */
  readonly casts: number;
}

/** Why the casts of a pour have their faults, each fault over all of them. */
export interface PourFindings {
  readonly explanations: readonly PourExplanation[];
  /** All casts that they were compared with. */
  readonly casts: number;
}

/** Every way beside every other; `left` casts are still to be gathered. */
export interface AllWaysView extends AllWays {
  readonly casts: number;
  readonly left: number;
}

/** A face of which the voids were counted on a photo. Times ms. */
export interface CountedFace extends VoidsCounted {
  readonly castId: string;
  readonly code: string;
  readonly mould: string;
  readonly mix: string;
  readonly at: number;
  readonly grade: number;
  readonly picture: { readonly id: string; readonly width: number; readonly height: number };
}

/** What is watched from cast to cast. */
export interface WatchView extends WatchedCasts {
  readonly left: number;
}
