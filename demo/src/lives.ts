import {
  dampDaysTo,
  handbookLiftOut,
  hoursToReach,
  type Damage,
  type Expected,
  type PieceKind,
  type Spot,
  type TemperatureReading,
} from '@dewpot/core';
import type { CastEventInput, CastView } from '@dewpot/contract';
import { airAt } from '@dewpot/server';
import { v7 as uuid } from 'uuid';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;

type Happened = Omit<CastEventInput, 'id'>;

/** Nine in the morning of the day of a time, or the next where that has passed. */
function morning(at: number): number {
  const nine = Math.floor(at / DAY) * DAY + 9 * HOUR;
  return nine >= at ? nine : nine + DAY;
}

function temperatures(from: number, days: number): TemperatureReading[] {
  return Array.from({ length: days * 8 }, (_, i) => ({
    hour: i * 3,
    temperature: airAt(from + i * 3 * HOUR).temperature,
  }));
}

/** Hurt where it was hurried: the earlier against the handbook, the likelier. */
function damageOf(earliness: number, piece: PieceKind, random: () => number): Damage[] {
  if (random() > 0.04 + Math.max(0, 1 - earliness) * 2.2) return [];
  const places: Spot[] = piece === 'slab' ? ['corner', 'face'] : ['rim', 'rim', 'base', 'core-end'];
  return [{ spot: places[Math.floor(random() * places.length)]!, size: random() < 0.75 ? 'chip' : 'piece' }];
}

function weighing(
  at: number,
  uncovered: number,
  { dry, loss }: Expected,
  step: number,
  random: () => number,
): Happened {
  const { temperature, humidity } = airAt(at);
  const slow = temperature < 9 ? 1.35 : 1;
  const water = loss * 0.82 * Math.exp(-(((at - uncovered) / DAY / (2.6 * slow)) ** 0.85));
  const mass = Math.round((dry * 1.002 + water + (random() - 0.5) * 1.4 * step) / step) * step;
  return { type: 'weighed', at, mass, step, temperature, humidity };
}

/** What happened to the casts of one pour up to `now`, each on its own; alike but for chance. */
export function livesOf(casts: readonly CastView[], now: number, random: () => number): Map<string, Happened[]> {
  const first = casts[0]!;
  const poured = first.life.pouredAt;
  const { piece, setting } = first.snapshot;
  const ages = [handbookLiftOut(setting, piece), dampDaysTo(0.7) * 24];
  const [lift = 48, damp = 400] = hoursToReach(temperatures(poured, 60), ages, setting, 24 * 60);
  const hurry = 0.82 + random() * 0.5;
  const lifted = Math.max(poured + lift * hurry * HOUR, poured + 14 * HOUR);
  const uncovered = morning(Math.max(lifted + DAY, poured + damp * HOUR));
  const days = 11 + Math.floor(random() * 4);
  const sealer = first.snapshot.mixName.startsWith('Chalk') ? 'wax' : 'penetrating';
  return new Map(
    casts.map((cast) => {
      const step = cast.expected.fresh < 1500 ? 1 : 2;
      const events: Happened[] = [
        {
          type: 'lifted-out',
          at: Math.round(lifted),
          damage: damageOf(hurry, piece, random),
          force: random() < 0.7 ? 'slid' : 'tapped',
        },
      ];
      if (random() < 0.02)
        return [cast.id, [...events, { type: 'broken', at: Math.round(lifted + HOUR), how: 'slipped on the bench' }]];
      events.push({ type: 'uncovered', at: uncovered });
      for (let day = 1; day <= days; day += day < 3 ? 1 : 2)
        events.push(weighing(uncovered + day * DAY, uncovered, cast.expected, step, random));
      const coated = morning(uncovered + (days + 4) * DAY);
      events.push({ type: 'coated', at: coated, sealer, side: 'both' });
      events.push({
        type: 'put-out',
        at: coated + Math.round(6 + random() * 8) * DAY,
        where: random() < 0.6 ? 'the raised beds' : 'given to a neighbour',
      });
      return [cast.id, events.filter(({ at }) => at <= now)];
    }),
  );
}

/** Gives an event its key. */
export function keyed(event: Happened): CastEventInput {
  return { id: uuid(), ...event };
}
