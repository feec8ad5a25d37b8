import type { Due } from '@dewpot/core/casts';
import type { CastEventTold, CastView, Without } from '@dewpot/contract';

/** What happened to a cast, to be kept. */
export interface RecordedEvent {
  readonly cast: CastView;
  readonly event: Without<CastEventTold, 'id' | 'at'> & { readonly id?: string; readonly at?: number };
  /** A photo of it. */
  readonly photo?: File;
}

/** What a form of an action is given: the casts it is for, and how to record what happened. */
export interface ActionProps {
  readonly casts: readonly CastView[];
  /** The due that it comes from, where it comes from one. */
  readonly due?: Due | undefined;
  readonly busy: boolean;
  readonly record: (said: string, happened: readonly RecordedEvent[]) => void;
}
