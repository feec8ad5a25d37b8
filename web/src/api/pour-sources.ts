import { lessonsFor, type PourSources } from '@dewpot/core/planning';
import type { MixView, MouldView, PastPoursView, SessionView } from '@dewpot/contract';
import type { Palette } from './tints';

/** What of a workshop a pour is planned from, as this page knows it. */
export interface KnownForPours {
  readonly moulds: readonly MouldView[];
  readonly mixes: readonly MixView[];
  readonly palette: Palette;
  readonly workshop: SessionView['workshop'];
  readonly past: PastPoursView;
  /** ms */
  readonly now: number;
}

/** Gathers what pours are planned from. */
export function pourSources({ moulds, mixes, palette, workshop, past, now }: KnownForPours): PourSources {
  const { store, find, tints, colours } = palette;
  const { lots, scoops } = store;
  const lessons = (mixId: string) => lessonsFor(mixId, past.lessons);
  return { moulds, mixes, scoops, find, tints, colours, lots, lessons, runs: past.runs, workshop, now };
}
