import { describe, expect, it } from 'vitest';
import { DAY } from '../../foundation/units/index.js';
import { sealers } from '../../mixing/materials/index.js';
import { wantedStates } from '../../process/calendar/index.js';
import { isAsWanted, lifeOf, reachedState, type CastEvent } from './index.js';

const POURED = Date.UTC(2026, 4, 1);
const at = (days: number) => POURED + days * DAY;
const wet = { dryEnough: false };
const event = (days: number, more: object): CastEvent => ({ id: `e${days}`, at: at(days), ...more }) as CastEvent;

/** What happened to a cast, up to so many events. */
const way = [
  event(0, { type: 'poured' }),
  event(1, { type: 'demoulded', damage: [] }),
  event(8, { type: 'uncovered' }),
  event(20, { type: 'seal-planned', sealer: 'acrylic', coats: 2, uses: [] }),
  event(21, { type: 'coated', sealer: 'acrylic', side: 'all' }),
  event(22, { type: 'coated', sealer: 'acrylic', side: 'all' }),
];
const after = (events: number, dry = wet, now = at(22.5)) => reachedState(lifeOf(way.slice(0, events)), dry, now);

describe('how far a cast has come on the way that orders go by', () => {
  it('follows its life: out of its mould, cured, dry, sealed once every coat is on, hard when the sealer is', () => {
    expect([1, 2, 3].map((events) => after(events))).toEqual([undefined, 'demoulded', 'cured']);
    expect(after(3, { dryEnough: true })).toBe('dry');
    // One coat of two is on.
    expect(after(5)).toBe('dry');
    expect(after(6)).toBe('sealed');
    expect(after(6, wet, at(22 + sealers.acrylic.cureDays))).toBe('hardened');
  });

  it('is none of one that is broken, and the whole way of one that is finished', () => {
    expect(reachedState(lifeOf([...way.slice(0, 3), event(9, { type: 'broken' })]), wet, at(10))).toBeUndefined();
    expect(reachedState(lifeOf([...way, event(30, { type: 'finished' })]), wet, at(31))).toBe('hardened');
  });

  it('is enough for what is wanted, and for all that comes before it', () => {
    expect(wantedStates.map((wanted) => isAsWanted('dry', wanted))).toEqual([true, true, true, false, false]);
    expect(wantedStates.some((wanted) => isAsWanted(undefined, wanted))).toBe(false);
  });
});
