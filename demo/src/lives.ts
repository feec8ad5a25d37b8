import { defined, stream } from '@dewpot/core/math';
import { DAY, HOUR } from '@dewpot/core/units';
import type { PieceKind } from '@dewpot/core/moulds';
import { initialSet, moistDaysTo } from '@dewpot/core/binders';
import { sealers, type SealerKind } from '@dewpot/core/materials';
import { handbookDemouldAge, hoursToReach, type TemperatureReading, pulledCores } from '@dewpot/core/curing';
import type { Expected } from '@dewpot/core/pours';
import type { PieceUse, Weighing } from '@dewpot/core/sealing';
import { sealingGate, type Damage, type Life, type Spot } from '@dewpot/core/casts';
import type { CastEventTold, CastRow, Without } from '@dewpot/contract';
import { ambientIn } from '@dewpot/server';
import { v7 as uuid } from 'uuid';

type Happened = Without<CastEventTold, 'id'>;

/** Nine in the morning of the day of a time, or the next where that has passed. */
function morning(at: number): number {
  const nine = Math.floor(at / DAY) * DAY + 9 * HOUR;
  return nine >= at ? nine : nine + DAY;
}

function temperatures(from: number, days: number): TemperatureReading[] {
  return Array.from({ length: days * 8 }, (_, i) => ({
    hour: i * 3,
    temperature: ambientIn('shed', from + i * 3 * HOUR).temperature,
  }));
}

/** Hurt where it was hurried: the earlier against the handbook, the likelier. */
function damageOf(earliness: number, piece: PieceKind, random: () => number): Damage[] {
  if (random() > 0.04 + Math.max(0, 1 - earliness) * 2.2) return [];
  const places: Spot[] = piece === 'slab' ? ['corner', 'face'] : ['rim', 'rim', 'base', 'core-end'];
  return [{ spot: defined(places[Math.floor(random() * places.length)]), size: random() < 0.75 ? 'chip' : 'piece' }];
}

function weighing(
  at: number,
  uncovered: number,
  { dry, loss }: Expected,
  step: number,
  random: () => number,
): Happened & Omit<Weighing, 'hour'> {
  const { temperature, humidity } = ambientIn('shed', at);
  const slow = temperature < 9 ? 1.35 : 1;
  const water = loss * 0.82 * Math.exp(-(((at - uncovered) / DAY / (2.6 * slow)) ** 0.85));
  const mass = Math.round((dry * 1.002 + water + (random() - 0.5) * 1.4 * step) / step) * step;
  return { type: 'weighed', at, mass, step, temperature, humidity };
}

/** What a piece of this kind is for, as they say it. */
function usesOf(piece: PieceKind): PieceUse[] {
  if (piece === 'slab') return ['outdoors', 'frost'];
  return piece === 'dish' || piece === 'lamp' || piece === 'ornament' ? ['indoors'] : ['plants', 'outdoors'];
}

/** From the first coat to the door and after: coats in their window, the checks, and where it went. */
function finishOf(cast: CastRow, coated: number, sealer: SealerKind, random: () => number): Happened[] {
  const uses = usesOf(cast.snapshot.piece);
  const coats = sealer === 'wax' ? 1 : 2;
  const cured = coated + (sealers[sealer].cureDays + 1) * DAY;
  const out = cured + Math.round(1 + random() * 8) * DAY;
  const sold = random() < 0.3;
  const gone = sold ? ('sold' as const) : random() < 0.6 ? ('kept' as const) : ('given' as const);
  const where = sold ? 'the Saturday stall' : gone === 'kept' ? 'the raised beds' : 'a neighbour';
  return [
    { type: 'seal-planned', at: coated - HOUR, uses, sealer, coats, side: 'both' },
    ...Array.from({ length: coats }, (_, i): Happened => ({
      type: 'coated',
      at: coated + i * 7 * HOUR,
      sealer,
      side: 'both',
      tool: sealer === 'wax' ? 'cloth' : 'brush',
    })),
    { type: 'checked', at: cured, check: 'bead', held: true },
    { type: 'checked', at: cured, check: 'look', held: true },
    ...(cast.snapshot.piece === 'pot' ? [{ type: 'fitted', at: out - HOUR, fitting: 'mesh' } as const] : []),
    { type: 'finished', at: out, where, gone, ...(sold && { price: 12 + Math.round(random() * 6) * 3 }) },
  ];
}

/** The weighings of a piece until it was coated, its coat, and its way out; the gate decides when. Without a sealer it waits. */
function dryingOf(
  cast: CastRow,
  uncovered: number,
  now: number,
  sealer: SealerKind | undefined,
  weighed: readonly Weighing[],
  random: () => number,
): Happened[] {
  const step = cast.expected.fresh < 1500 ? 1 : 2;
  const events: Happened[] = [];
  const weighings = [...weighed];
  const patience = 2 + Math.floor(random() * 3);
  for (let day = 1; uncovered + day * DAY <= now; day++) {
    const at = uncovered + day * DAY;
    const life: Life = { ...cast.life, stage: 'drying', uncoveredAt: uncovered, driesFrom: uncovered, weighings };
    // By the stricter limit: these casters wait a little longer than they must.
    const ready = sealingGate(life, cast.expected, cast.snapshot.binderClass, sealers.acrylic, at).open;
    if (ready && !sealer) return events;
    if (ready && sealer) {
      return [...events, ...finishOf(cast, morning(at + patience * DAY), sealer, random)];
    }
    if (day > 3 && day % 2 === 0) continue;
    const event = weighing(at, uncovered, cast.expected, step, random);
    events.push(event);
    weighings.push({ ...event, hour: (at - cast.life.pouredAt) / HOUR });
  }
  return events;
}

/** A wetting on most mornings of the moist curing; some are forgotten. */
function wettingsOf(demoulded: number, uncovered: number, random: () => number): Happened[] {
  const days = Math.max(0, Math.floor((uncovered - demoulded) / DAY));
  return Array.from({ length: days }, (_, i) => morning(demoulded + i * DAY + HOUR))
    .filter((at) => at < uncovered && random() < 0.85)
    .map((at) => ({ type: 'wetted', at }));
}

/** The same numbers for the same cast, beside those that all casts share. */
const ownNumbers = (code: string) =>
  stream([...code].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 1e9, 11));

/** By how many grades the bubbles of a pot are worse, mostly, where the trial left it untapped. */
const untapped = ({ code, snapshot: { trial } }: CastRow): number =>
  trial?.side === 'a' && ownNumbers(code)() < 0.7 ? 2 : 0;

/** What was weighed and seen on the morning of demoulding: what stood open is crazed mostly, and a tufa bowl cracked for it. */
function seenOf({ code, snapshot: { cover, piece }, expected }: CastRow, demoulded: number): Happened[] {
  const chance = ownNumbers(code);
  const [step, light] = [expected.fresh < 1500 ? 1 : 5, 0.975 + 0.02 * chance()];
  const mass = Math.round((expected.fresh * light) / step) * step;
  const open = cover === 'none';
  const drawn = { x: 0.3 + 0.4 * chance(), y: 0.6 + 0.3 * chance() };
  const crazed = chance() < (open ? 0.95 : 0.03);
  const at = demoulded + HOUR;
  return [
    ...(chance() < 0.6 ? [{ type: 'weighed', at, mass, step, sure: true } as const] : []),
    ...(open && piece === 'hypertufa-pot' ? [{ type: 'fault-seen', at, fault: 'crack', severity: 'spoilt', spot: 'face', drawn } as const] : []),
    ...(crazed ? [{ type: 'fault-seen', at, fault: 'crazing', severity: 'clear', spot: 'face', drawn } as const] : []),
    ...(!crazed && chance() < 0.4 ? [{ type: 'found-sound', at } as const] : []),
  ];
} // prettier-ignore

/** What happened to the casts of one pour up to `now`, each on its own; alike but for chance. `bare` ones are not sealed. */
export function livesOf(
  casts: readonly CastRow[],
  now: number,
  random: () => number,
  bare: boolean,
): Map<string, Happened[]> {
  const first = defined(casts[0]);
  const poured = first.life.pouredAt;
  const { piece, binderClass } = first.snapshot;
  const ages = [initialSet(binderClass, 20), handbookDemouldAge(binderClass, piece), moistDaysTo(0.7) * 24];
  const [setHours, lift = 48, damp = 400] = hoursToReach(temperatures(poured, 60), ages, binderClass, 24 * 60);
  const hurry = 0.82 + random() * 0.5;
  const demoulded = Math.round(Math.max(poured + lift * hurry * HOUR, poured + 14 * HOUR));
  const uncovered = morning(Math.max(demoulded + DAY, poured + damp * HOUR));
  const usual = first.snapshot.mixName.startsWith('Chalk') ? 'wax' : 'penetrating';
  const sealer = bare ? undefined : usual;
  return new Map(
    casts.map((cast) => {
      const force = random() < 0.7 ? 'slid' : 'tapped';
      const cores = pulledCores(cast.snapshot.shape, cast.snapshot.release);
      const set = poured + 1.5 * (setHours ?? 6) * HOUR;
      const events: Happened[] = [
        ...cores.map(({ name }): Happened => ({
          type: 'pulled',
          at: Math.round(Math.min(set, demoulded)),
          core: name,
        })),
        { type: 'demoulded', at: demoulded, damage: damageOf(hurry, piece, random), force },
        {
          type: 'bubbles',
          at: demoulded + HOUR / 2,
          face: 'face',
          grade: 1 + Math.floor(random() * 3) + untapped(cast),
        },
      ];
      const seen = seenOf(cast, demoulded);
      const weighed = seen.flatMap((one) =>
        one.type === 'weighed' ? [{ ...one, hour: (one.at - poured) / HOUR }] : [],
      );
      events.push(...seen);
      if (random() < 0.02) events.push({ type: 'broken', at: demoulded + HOUR, how: 'slipped on the bench' });
      else
        events.push(
          ...wettingsOf(demoulded, uncovered, random),
          { type: 'uncovered', at: uncovered },
          ...dryingOf(cast, uncovered, now, sealer, weighed, random),
        );
      return [cast.id, events.filter(({ at }) => at <= now)];
    }),
  );
}

/** Gives an event its key. */
export function keyed(event: Happened): CastEventTold {
  return { id: uuid(), ...event };
}
