import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { HOUR, DAY } from '../../foundation/units/index.js';
import { faces } from '../../geometry/moulds/index.js';
import { sealers } from '../../mixing/materials/index.js';
import type { Weighing } from '../../process/sealing/index.js';
import { nestedPot } from '../../testing/examples.js';
import {
  calendarOpens,
  countedWeighings,
  drynessOf,
  duesOf,
  facesToSeal,
  lifeOf,
  lookBackAt,
  samplesOf,
  sealedArea,
  sealingGate,
  wakesAt,
  nextWeighings,
  weighRound,
  type CastEvent,
  type CastEventBody,
  type Life,
} from './index.js';

const POURED = Date.UTC(2026, 5, 1, 10);
const expected = { fresh: 4400, dry: 3900, solids: 3800, loss: 260 };
const NOW = POURED + 60 * DAY;

const event = (day: number, eventBody: CastEventBody): CastEvent => ({
  id: `${day}-${eventBody.type}`,
  at: POURED + day * DAY,
  ...eventBody,
});
const dried = [
  event(0, { type: 'poured' }),
  event(2, { type: 'demoulded', damage: [] }),
  event(7, { type: 'uncovered' }),
];
const weighed = (days: number, share = 1) =>
  Array.from({ length: days }, (_, i) =>
    event(8 + i, {
      type: 'weighed',
      mass: Math.round(3900 * share + 200 * share * Math.exp(-((i / 4) ** 0.75))),
      step: 1,
    }),
  );
const drying = (days: number, ...more: CastEvent[]): Life => lifeOf([...dried, ...weighed(days), ...more]);
const duesAt = (life: Life, more: object = {}) =>
  duesOf(life, { now: NOW, binderClass: 'portland', reach: () => undefined, demouldAge: 24, ...more });

describe('dryness', () => {
  it('of an unweighed piece is inferred from two like ones, by the wetter and a stricter limit, and says so', () => {
    const sibling = (code: string, days: number) => ({ code, life: drying(days), expected });
    const ways = { film: false, siblings: [sibling('1a', 12), sibling('1b', 25)] };
    const own = drynessOf(drying(25), expected, 'portland', { film: false });
    const inferred = drynessOf(drying(0), expected, 'portland', ways);
    expect(own.dryEnough).toBe(true);
    expect(inferred.inferredFrom).toEqual(['1a', '1b']);
    expect(inferred.limit).toBeCloseTo(own.limit * 0.85, 6);
    expect(inferred.remaining!.value).toBeGreaterThan(own.remaining!.value);
    expect(
      drynessOf(drying(0), expected, 'portland', { film: false, siblings: [sibling('1a', 25)] }).inferredFrom,
    ).toBeUndefined();
    expect(drynessOf(drying(15), expected, 'portland', ways).inferredFrom).toBeUndefined();
  });

  it('of a piece weighed before its siblings only is inferred from them, who were weighed on', () => {
    const siblings = ['1a', '1b'].map((code) => ({ code, life: drying(25), expected }));
    expect(drynessOf(drying(4), expected, 'portland', { film: false }).dryEnough).toBe(false);
    const known = drynessOf(drying(4), expected, 'portland', { film: false, siblings });
    expect(english(known)).toMatchObject({ dryEnough: true, inferredFrom: ['1a', '1b'] });
  });

  it('of a wetted piece begins again; a sealed one sheds it', () => {
    const life = drying(20, event(40, { type: 'wetted' }));
    expect(english(drynessOf(life, expected, 'portland', { film: false }).missing[0])).toContain('not been weighed');
    const sealed = drying(
      20,
      event(40, { type: 'coated', sealer: 'wax', side: 'both' }),
      event(41, { type: 'wetted' }),
    );
    expect(sealed.driesFrom).toBe(POURED + 7 * DAY);
  });

  it('goes by what it weighed since its moist curing, whatever it weighed while it was kept damp', () => {
    const damp = [3, 4, 5].map((day) => event(day, { type: 'weighed', mass: 4395, step: 1 }));
    const judged = (life: Life) => drynessOf(life, expected, 'portland', { film: false });
    const [alone, besides] = [judged(drying(8)), judged(drying(8, ...damp))];
    expect(besides).toEqual(alone);
    // Where it was weighed while damp alone, that is all there is.
    expect(countedWeighings(lifeOf([...dried, ...damp]))).toHaveLength(3);
  });

  it('by calendar opens on its day in the piece’s own air, and is shut before', () => {
    const life = drying(0);
    const opens = calendarOpens(life, expected, false, 0.7)!;
    const ways = { drying: 'calendar', pace: 0.7 } as const;
    expect(
      english(sealingGate(life, expected, 'portland', sealers.penetrating, opens - DAY, ways).reasons).join(),
    ).toContain('that the calendar wants');
    expect(sealingGate(life, expected, 'portland', sealers.penetrating, opens + HOUR, ways).open).toBe(true);
  });

  it('for a candle is judged by the limits of a film', () => {
    const life = drying(
      9,
      event(20, { type: 'seal-planned', uses: ['candle'], sealer: 'penetrating', coats: 1, side: 'both' }),
    );
    const plain = sealingGate(drying(9), expected, 'portland', sealers.penetrating, NOW).dryDown.limit;
    expect(sealingGate(life, expected, 'portland', sealers.penetrating, NOW).dryDown.limit).toBeLessThan(plain / 2 + 1);
  });
});

describe('a sample', () => {
  const cast = (code: string, days: number) => ({
    id: code,
    code,
    pourId: 'p',
    mouldId: 'm',
    place: 'shed',
    life: drying(days),
  });

  it('is the pieces weighed most so far, of like ones that dry in one place', () => {
    const casts = [cast('4a', 0), cast('4b', 3), cast('4c', 0), cast('4d', 1), { ...cast('4e', 9), place: 'yard' }];
    const samples = samplesOf(casts);
    expect(english(samples.get('4c')!).map(({ code }) => code)).toEqual(['4b', '4d']);
    expect(english(samples.get('4e')!).map(({ code }) => code)).toEqual(['4e']);
    const wetted = { ...cast('4f', 4), life: drying(4, event(30, { type: 'wetted' })) };
    const apart = samplesOf([...casts, wetted]);
    expect(english(apart.get('4f')!).map(({ code }) => code)).toEqual(['4f']);
    expect(english(apart.get('4c')!).map(({ code }) => code)).toEqual(['4b', '4d']);
  });

  it('is asked for alone, and small pieces on a coarse scale together', () => {
    expect(duesAt(drying(0), { sampled: true })).toEqual([]);
    const due = { task: 'weigh', early: NOW - HOUR, good: NOW - HOUR, late: NOW + DAY } as const;
    const one = (code: string, dry: number) => ({
      ...cast(code, 0),
      expected: { ...expected, dry },
      dry: {},
      dues: [due],
    });
    const round = weighRound([one('1a', 300), one('1b', 300), one('2a', 4000)], () => 'shed', NOW, 1);
    expect(english(round).map(({ casts }) => casts.map(({ code }) => code))).toEqual([['1a', '1b'], ['2a']]);
    const later = (code: string, hours: number) => ({
      ...one(code, 300),
      dues: [{ ...due, early: NOW + hours * HOUR, good: NOW + hours * HOUR }],
    });
    const next = nextWeighings([one('1a', 300), later('3b', 9), later('3a', 2), { ...later('4a', 1), dues: [] }], NOW);
    expect(next.map((each) => [each.cast.code, (each.due.good - NOW) / HOUR])).toEqual([['3a', 2], ['3b', 9]]); // prettier-ignore
  });
});

describe('after drying', () => {
  const plan = { type: 'seal-planned', uses: ['water'], sealer: 'acrylic', coats: 2, side: 'both' } as const;
  const coat = { type: 'coated', sealer: 'acrylic', side: 'both' } as const;

  it('comes the next coat in its window, then the checks of its use, then the door', () => {
    const one = duesAt(drying(20, event(40, plan), event(41, coat)));
    expect(english(one[0])).toMatchObject({ task: 'coat', good: POURED + 41 * DAY + 2 * HOUR, told: 'coat 2 of 2' });
    const two = duesAt(drying(20, event(40, plan), event(41, coat), event(41.5, coat)));
    expect(english(two).map(({ task }) => task)).toEqual(['seal-test', 'finish']);
    expect(english(two[0])).toMatchObject({ good: POURED + 48.5 * DAY, told: 'water bead, look and standing water' });
  });

  it('a piece that is to stay bare goes out once it is dry', () => {
    const life = drying(20, event(40, { type: 'seal-planned', uses: ['bare plants'], coats: 0, side: 'both' }));
    expect(duesAt(life, { dryEnough: true })[0]!.task).toBe('finish');
  });

  it('is asked after once: outdoors when a winter is over, and not after it was answered or let be', () => {
    const out = event(50, { type: 'finished', gone: 'kept' });
    const life = drying(20, event(40, { ...plan, uses: ['frost'] }), event(41, coat), out);
    expect(new Date(lookBackAt(life)!).toISOString().slice(0, 10)).toBe('2027-04-15');
    expect(wakesAt(life)).toBe(lookBackAt(life));
    const south = 'Australia/Hobart';
    expect(new Date(lookBackAt(life, south)!).toISOString().slice(0, 10)).toBe('2026-10-15');
    expect(wakesAt(life, south)).toBe(lookBackAt(life, south));
    expect(lookBackAt(life, 'America/New_York')).toBe(lookBackAt(life));
    const asked = duesOf(life, {
      now: lookBackAt(life)!,
      binderClass: 'portland',
      reach: () => undefined,
      demouldAge: 24,
    });
    expect(english(asked).map(({ task }) => task)).toContain('record-condition');
    const late = duesOf(life, {
      now: lookBackAt(life)! + 61 * DAY,
      binderClass: 'portland',
      reach: () => undefined,
      demouldAge: 24,
    });
    expect(english(late).map(({ task }) => task)).not.toContain('record-condition');
    const gone = lifeOf([...dried, out, event(300, { type: 'came-later', came: 'gone' })]);
    expect(wakesAt(gone)).toBeUndefined();
  });
});

it('a coat goes on the outside with foot and upper face, on the inside, or both; not where parts are joined', () => {
  const { outer, base, inner, open } = faces(nestedPot);
  expect(facesToSeal(nestedPot, 'outside')).toBe(outer + base + open);
  expect(facesToSeal(nestedPot, 'inside')).toBe(inner);
  expect(sealedArea([nestedPot, nestedPot], 'both', 20_000)).toBeCloseTo(2 * (outer + base + open + inner) - 20_000, 6);
});

it('weighings told with their share stand as weighings', () => {
  const life = drying(0, event(9, { type: 'weighed', mass: 288.4, step: 0.17, together: 6 }));
  expect(life.weighings).toEqual([{ hour: 216, mass: 288.4, step: 0.17 } satisfies Weighing]);
});
