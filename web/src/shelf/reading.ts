import { msg, type Message, type Phrase } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import { type Due, placeInWords } from '@dewpot/core/casts';
import type { CastView } from '@dewpot/contract';
import { isDue, nextOf, placeOf } from '../ui/casts/reading';

/** Planks of the shelf, in the order of the work. */
type PlankName = 'setting' | 'curing' | 'drying' | 'ready' | 'sealed';
const planks: readonly PlankName[] = ['setting', 'curing', 'drying', 'ready', 'sealed'];
const plankWords: Record<PlankName, Message> = {
  setting: msg('shelf.plankSetting'),
  curing: msg('shelf.plankCuring'),
  drying: msg('shelf.plankDrying'),
  ready: msg('shelf.plankReady'),
  sealed: msg('shelf.plankSealed'),
};

/** How the planks are laid: by where casts are in the work, by where they stand, or by pour. */
export type ShelfBy = 'stage' | 'place' | 'pour';
export const shelfBys: readonly ShelfBy[] = ['stage', 'place', 'pour'];

/** A plank: its name, and what stands on it. */
export interface Plank<Standing extends Group> {
  readonly name: Phrase;
  readonly groups: readonly Standing[];
}

/** Like casts of one pour and mould that stand on the same plank. */
export interface Group {
  readonly key: string;
  readonly plank: PlankName;
  readonly casts: readonly CastView[];
  readonly window?: Due;
  readonly due: boolean;
}

function plankOf(cast: CastView): PlankName | undefined {
  if (cast.stage === 'finished' || cast.stage === 'broken' || cast.stage === 'joined') return undefined;
  if (cast.stage === 'drying' && cast.dry.dryEnough) return 'ready';
  return cast.stage;
}

/** Casts as they stand on the shelf: like ones of a pour together, what is due first. */
export function groupCasts(casts: readonly CastView[], now: number): Group[] {
  const rows = new Map<string, CastView[]>();
  for (const cast of casts) {
    const plank = plankOf(cast);
    if (!plank) continue;
    const alone = cast.snapshot.article ? cast.id : '';
    const key = [plank, cast.pourId, cast.mouldId, placeOf(cast), alone].join(':');
    rows.set(key, [...(rows.get(key) ?? []), cast]);
  }
  return [...rows].map(([key, alike]) => {
    const first = defined(alike[0]);
    const window = nextOf(first);
    return {
      key,
      plank: defined(plankOf(first)),
      casts: alike,
      due: isDue(window, now),
      ...(window && { window }),
    };
  });
}

const pourOf = ({ casts }: Group) => defined(casts[0]).code.replace(/\D+$/, '');

/** The planks: every stage has one, a place and a pour where something stands; the latest pour is the uppermost. */
export function planksOf<Standing extends Group>(groups: readonly Standing[], by: ShelfBy): Plank<Standing>[] {
  if (by === 'stage')
    return planks.map((plank) => ({
      name: plankWords[plank],
      groups: groups.filter((group) => group.plank === plank),
    }));
  const nameOf = by === 'place' ? ({ casts }: Group) => placeOf(defined(casts[0])) : pourOf;
  const names = [...new Set(groups.map(nameOf))];
  const ordered = by === 'place' ? names.sort() : names.reverse();
  return ordered.map((name) => ({
    name: by === 'pour' ? msg('shell.pourNumber', { name }) : placeInWords(name),
    groups: groups.filter((group) => nameOf(group) === name),
  }));
}
