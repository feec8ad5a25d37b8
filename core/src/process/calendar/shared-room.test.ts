import { describe, expect, it } from 'vitest';
import { DAY, HOUR } from '../../foundation/units/index.js';
import { calendarWorkshop, copies, wantedPots } from '../../testing/calendar-workshop.js';
import { MONDAY } from '../../testing/pots-to-schedule.js';
import { calendarProblem, type CalendarSources } from './index.js';

const [pot] = calendarWorkshop().pour.moulds;
const [shed] = calendarWorkshop().places;
const sharedOf = (over: Partial<CalendarSources>, pour: Partial<CalendarSources['pour']> = {}) =>
  calendarProblem(calendarWorkshop(over, pour)).schedule.shared;
const kinds = (shared: ReturnType<typeof sharedOf>) => shared.map(({ kind, of }) => [kind, of]);

describe('what pieces share', () => {
  it('are copies that are neither given up nor leak, busy until they are out, dry and somebody is there', () => {
    const [a, b, c] = copies(3);
    const moulds = [{ ...pot!, copies: [a!, { ...b!, retired: true }, { ...c!, leaks: true }] }];
    const [shared] = sharedOf({}, { moulds });
    expect(shared).toMatchObject({ kind: 'copies', of: 'pot', room: 1 });
    // Poured at 19:00 it comes out in the second night: the copy is free for the evening after it.
    expect(shared!.uses[0]!.until.slice(0, 3)).toEqual([2, 3, 4]);
  });

  it('are taken as long as casts of before stand in them', () => {
    const full = (freeAt: number) => ({ mouldId: 'pot', freeAt, until: freeAt + DAY });
    const standing = [full(MONDAY + 20 * HOUR), full(MONDAY + DAY + 8 * HOUR), { mouldId: 'pot', until: MONDAY + DAY }];
    const [shared] = sharedOf({ standing });
    expect(shared!.taken!.slice(0, 3)).toEqual([2, 0, 0]);
  });

  it('is one copy more, or no count at all, where that is tried out', () => {
    expect(sharedOf({ trial: { copyOf: 'pot' } })[0]!.room).toBe(4);
    expect(sharedOf({ trial: { without: 'copies' } })).toEqual([]);
    expect(sharedOf({}, { moulds: [{ ...pot!, once: true }] })).toEqual([]);
  });

  it('is the room of a place that says how much it has: what stands there takes its own, with a hand’s breadth round it', () => {
    const places = [{ ...shed!, room: 1_000_000 }];
    const standing = [{ mouldId: 'pot', until: MONDAY + 2 * DAY, placeId: 'shed' }];
    const shelf = sharedOf({ places, standing }).find(({ kind }) => kind === 'shelf')!;
    const each = (200 + 30) ** 2;
    expect(shelf.uses[0]!.each).toBeCloseTo(each, -1);
    expect(shelf.taken!.slice(0, 3).map((area) => Math.round(area))).toEqual([each, each, 0]);
    expect(kinds(sharedOf({}))).toEqual([['copies', 'pot']]);
  });

  it('are spots of moulds that cannot be moved, until they are out: by their kind, or heavier than one lifts', () => {
    const places = [{ ...shed!, room: 1_000_000 }];
    const heavy = { workshop: { bucket: 14_000, scaleStep: 1, liftLimit: 1_000 } };
    const panel = { moulds: [{ ...pot!, piece: 'panel' as const }] };
    const spots = [{}, heavy, panel].map((pour) => sharedOf({ places }, pour).find(({ kind }) => kind === 'spots'));
    expect(spots[0]).toBeUndefined();
    expect(spots[1]!.uses[0]!.each).toBeCloseTo((200 + 60) ** 2, -1);
    expect(spots[2]).toBeDefined();
    expect(sharedOf({ places, trial: { without: 'spots' } }, heavy).some(({ kind }) => kind === 'spots')).toBe(false);
  });

  it('counts a piece until it is as it is wanted, and no longer', () => {
    const places = [{ ...shed!, room: 1_000_000 }];
    const until = (state: 'demoulded' | 'cured' | 'dry') =>
      sharedOf({ places, lines: [wantedPots({ state })] }).find(({ kind }) => kind === 'shelf')!.uses[0]!.until[0]!;
    expect(until('demoulded')).toBeLessThan(until('cured'));
    expect(until('cured')).toBeLessThan(until('dry'));
  });
});
