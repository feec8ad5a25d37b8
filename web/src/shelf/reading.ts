import type { Due } from '@dewpot/core';
import type { CastView } from '@dewpot/contract';
import { isDue, lookToday, nextOf, type Today } from '../casts';

/** Planks of the shelf, in the order of the work. */
export type PlankName = 'setting' | 'damp' | 'drying' | 'ready' | 'sealed';
export const planks: readonly PlankName[] = ['setting', 'damp', 'drying', 'ready', 'sealed'];
export const plankWords: Record<PlankName, string> = {
  setting: 'Setting',
  damp: 'Damp',
  drying: 'Drying',
  ready: 'Ready to seal',
  sealed: 'Sealed',
};

/** Like casts of one pour and mould that stand on the same plank. */
export interface Group {
  readonly key: string;
  readonly plank: PlankName;
  readonly casts: readonly CastView[];
  readonly look: Today;
  readonly window?: Due;
  readonly due: boolean;
}

function plankOf(cast: CastView): PlankName | undefined {
  if (cast.stage === 'out' || cast.stage === 'broken') return undefined;
  if (cast.stage === 'drying' && cast.dry.dryEnough) return 'ready';
  return cast.stage;
}

/** Casts as they stand on the shelf: like ones of a pour together, what is due first. */
export function groupCasts(casts: readonly CastView[], now: number): Group[] {
  const rows = new Map<string, CastView[]>();
  for (const cast of casts) {
    const plank = plankOf(cast);
    if (!plank) continue;
    const key = `${plank}:${cast.pourId}:${cast.mouldId}`;
    rows.set(key, [...(rows.get(key) ?? []), cast]);
  }
  return [...rows].map(([key, alike]) => {
    const first = alike[0]!;
    const window = nextOf(first);
    return {
      key,
      plank: plankOf(first)!,
      casts: alike,
      look: lookToday(first, now),
      due: isDue(window, now),
      ...(window && { window }),
    };
  });
}
