import { DAY, HOUR } from '../../foundation/units/index.js';
import type { Expected } from '../../process/pours/index.js';
import { standing } from '../casts/index.js';
import type { Circumstance, Circumstanced, Circumstances } from './circumstances.js';
import { foundFaults } from './found-faults.js';
import type { FindingRecord, Measure, WayKind } from './finding-record.js';
import { pouredUnder, type PouredCast } from './poured-under.js';
import { stoodUnder, type StoodCast } from './stood-under.js';

/** Everything of a cast that its record is gathered from. */
export interface GatheredFrom extends StoodCast {
  readonly expected: Expected;
  /** Its pour; undefined where nothing of it was recorded. */
  readonly poured?: PouredCast;
  /** Who poured it, by a key. */
  readonly person?: string;
}

/** What is kept of a cast for findings, beside its keys. */
export type KeptRecord = Omit<FindingRecord, 'id' | 'code' | 'mouldId' | 'at'>;

/** A kept record with the keys of its cast. */
export const keyedRecord = (
  { id, code, mouldId, at }: Pick<FindingRecord, 'id' | 'code' | 'mouldId' | 'at'>,
  kept: KeptRecord,
): FindingRecord => ({ id, code, mouldId, at, ...kept });

const told = (pairs: readonly [Circumstance, Circumstanced | undefined][]): Circumstances =>
  Object.fromEntries(pairs.filter(([, one]) => one !== undefined && Number.isFinite(one.value)));

/** Month of a time, as of UTC: ways go by the season, not by the day. */
const monthOf = (at: number): string => new Date(at).toISOString().slice(0, 7);

function waysOf({ snapshot, life, poured, person }: GatheredFrom, under: Circumstances): Partial<Record<WayKind, string>> {
  const { release, cover, place, copyMark, mixName, mouldName } = snapshot;
  const sealer = life.coats[0]?.sealer;
  const tapped = under.notTapped?.value;
  return {
    mix: mixName,
    mould: mouldName,
    month: monthOf(life.pouredAt),
    ...(release && { release }),
    cover: cover ?? 'none',
    ...(place && { place }),
    ...(copyMark && { copy: `${mouldName} ${copyMark}` }),
    ...(poured && { grade: `${poured.log.grade}`, reinforcement: under.unreinforced?.value ? 'none' : poured.mesh ? 'mesh' : 'fibre' }),
    ...(tapped !== undefined && { compaction: tapped ? 'none' : 'tapped' }),
    ...(sealer && { sealer }),
    ...(person && { person }),
  };
} // prettier-ignore

/** What it weighed within a day of its demoulding is what it weighs fresh. */
function massOf({ life, expected }: GatheredFrom): number | undefined {
  const out = life.demouldedAt;
  const first = out === undefined ? undefined : life.weighings[0];
  const soon = first && life.pouredAt + first.hour * HOUR - (out ?? 0) <= DAY;
  return soon ? first.mass / expected.fresh : undefined;
}

/** What was measured of it, the latest of each. */
function measuredOf(cast: GatheredFrom): Partial<Record<Measure, number>> {
  const told = standing(cast.events);
  const voids = told.findLast((event) => event.type === 'bubbles' && event.counted !== undefined);
  const seen = told.findLast((event) => event.type === 'colour-seen');
  const all: Record<Measure, number | undefined> = {
    mass: massOf(cast),
    minutes: cast.poured?.bench?.each,
    voids: voids?.type === 'bubbles' ? voids.counted?.share : undefined,
    colour: seen?.type === 'colour-seen' ? seen.difference : undefined,
  };
  return Object.fromEntries(Object.entries(all).filter(([, value]) => value !== undefined));
}

/** Everything that findings want to know of a cast, from its record: the one way in which it is gathered. */
export function gatherRecord(cast: GatheredFrom): KeptRecord {
  const { snapshot, life, poured } = cast;
  const under = told([...(poured ? pouredUnder(poured) : []), ...stoodUnder(cast)]);
  return {
    mixId: snapshot.mixId ?? '',
    piece: snapshot.piece,
    seen: life.demouldedAt !== undefined || life.brokenAt !== undefined,
    faults: foundFaults(cast.events),
    under,
    ways: waysOf(cast, under),
    measured: measuredOf(cast),
    ...(snapshot.trial && { trial: { id: snapshot.trial.id, side: snapshot.trial.side } }),
  };
}
