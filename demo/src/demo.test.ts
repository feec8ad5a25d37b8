import { stream } from '@dewpot/core/math';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { MouldsService, PoursService, Accounts, WorkshopContext, CastsService, MaterialsService } from '@dewpot/server';
import { MOST_ON_PAGE, type CastRow } from '@dewpot/contract';
import { startServer, type Harness } from '../../server/test/harness.js';
import { season } from './season.js';
import { DEMO_NOW, demoDatabase, FILLING } from './testing/demo-database.js';

let harness: Harness;
let casts: readonly CastRow[];
beforeAll(async () => {
  harness = await startServer({ ownerUrl: await demoDatabase() });
  ({ rows: casts } = await inDemo(() => harness.app.get(CastsService).page({ size: MOST_ON_PAGE })));
}, FILLING);
afterAll(() => harness.close());

async function inDemo<T>(work: () => Promise<T>): Promise<T> {
  const door = await harness.app.get(Accounts).ofDemo();
  return harness.app.get(WorkshopContext).inWorkshop(door!.workshop_id, work);
}

describe('the demo workshop', () => {
  it('has casts standing in every stage, and some that went out', async () => {
    const stages = new Set(casts.map(({ stage }) => stage));
    for (const stage of ['setting', 'curing', 'drying', 'sealed', 'finished']) expect(stages, stage).toContain(stage);
    const shelf = await inDemo(() => harness.app.get(CastsService).shelf());
    expect(shelf.some(({ stage, dry }) => stage === 'drying' && dry.dryEnough)).toBe(true);
    expect(casts.some(({ snapshot }) => snapshot.article)).toBe(true);
  });

  it('has variety: clean casts and hurt ones, covers and places, pieces weighed and bubbles graded', () => {
    const demoulded = casts.filter(({ life }) => life.demouldedAt !== undefined);
    expect(demoulded.some(({ life }) => life.damage.length > 0)).toBe(true);
    expect(demoulded.filter(({ life }) => life.damage.length === 0).length).toBeGreaterThan(demoulded.length / 2);
    expect(new Set(casts.map(({ snapshot }) => snapshot.cover)).size).toBeGreaterThan(2);
    expect(new Set(casts.map(({ snapshot }) => snapshot.place)).size).toBeGreaterThan(2);
    expect(casts.some(({ life }) => life.weighings.length >= 3)).toBe(true);
  });

  it('never has anything happen after its own present, nor a coat that the gate refused', async () => {
    for (const { id } of casts.slice(-12)) {
      const { events } = await inDemo(() => harness.app.get(CastsService).detail(id));
      for (const event of events) {
        expect(event.at).toBeLessThanOrEqual(DEMO_NOW);
        if (event.type === 'coated') expect(event.overridden).toBeUndefined();
        if (event.type === 'demoulded') expect(event.equivalentAge).toBeGreaterThan(5);
      }
    }
  });

  it('keeps its store, its moulds’ cycles and its pours in step', async () => {
    const [store, moulds, pours] = await inDemo(async () => [
      await harness.app.get(MaterialsService).all(),
      await harness.app.get(MouldsService).all(),
      await harness.app.get(PoursService).page({ size: MOST_ON_PAGE }),
    ]);
    expect(store.lots.length).toBeGreaterThan(5);
    expect(pours.count).toBe(season.length);
    const cast = casts.filter(({ snapshot }) => !snapshot.article);
    expect(moulds.reduce((sum, { cycles }) => sum + cycles, 0)).toBe(cast.length);
    for (const { copies, cycles, once } of moulds)
      if (!once) expect(copies.reduce((sum, copy) => sum + copy.cycles, 0)).toBe(cycles);
    expect(pours.rows.every(({ status, pouredAt }) => status === 'finished' && pouredAt !== undefined)).toBe(true);
    const { lessons } = await inDemo(() => harness.app.get(PoursService).past());
    expect(lessons.length).toBeGreaterThanOrEqual(season.length);
  });

  it('is drawn from a stream that is the same for the same seed', () => {
    const [one, other] = [stream(5), stream(5)];
    const numbers = Array.from({ length: 50 }, () => one());
    expect(Array.from({ length: 50 }, () => other())).toEqual(numbers);
    expect(Math.min(...numbers)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...numbers)).toBeLessThan(1);
    expect(stream(6)()).not.toBe(numbers[0]);
  });
});
