import { v7 as uuid } from 'uuid';
import { Client } from 'pg';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import type { CastView } from '@dewpot/contract';
import { Jobs } from '../src/jobs/jobs.service.js';
import { WorkshopContext } from '../src/index.js';
import { dryingPots } from './drying-pots.js';
import { newAddress, newWorkshop, signedIn, startServer, type Agent, type Harness, wideRates } from './harness.js';

let one: Harness;
let two: Harness;
beforeAll(async () => {
  one = await startServer({ rates: wideRates });
  two = await startServer({ rates: wideRates, ownerUrl: one.config.ownerUrl });
});
afterAll(async () => {
  await two.close();
  await one.close();
});

const settingsOf = async (agent: Agent) => {
  const { workshop } = (await agent.get('/api/session').expect(200)).body as { workshop: Record<string, unknown> };
  const { id: _, demo: __, version: ___, ...settings } = workshop;
  return settings;
};

/** What the casts that dry in a workshop are judged by, as it is kept with them. */
async function judgedBy(agent: Agent): Promise<string[]> {
  const casts = (await agent.get('/api/casts/shelf').expect(200)).body as CastView[];
  return casts
    .filter(({ stage }) => stage === 'drying')
    .map(({ dry }) => (dry.opensAt === undefined ? 'no date' : 'a date'));
}

async function settle(agent: Agent, wanted: readonly string[]): Promise<void> {
  await vi.waitFor(async () => expect(await judgedBy(agent)).toEqual(wanted), { timeout: 90_000, interval: 100 });
}

describe('what changes all judgements of a workshop', () => {
  it('a hundred bursts of changes on two servers leave every piece judged by the newest rule', async () => {
    const email = newAddress();
    const here = await newWorkshop(one, 'Quince Yard', email);
    const there = await signedIn(two, email);
    const pots = await dryingPots(here);
    for (const cast of pots.casts) await pots.dried(cast);
    const settings = await settingsOf(here);
    /** Changes the school; a server whose connections were just ended is asked again. */
    const school = async (agent: Agent, drying: string) => {
      for (;;) {
        const { status } = await agent.put('/api/workshop').send({ ...settings, drying });
        if (status === 200) return;
        expect(status).toBe(503);
      }
    };
    const owner = new Client({ connectionString: one.config.ownerUrl });
    await owner.connect();
    await school(here, 'calendar');
    const byDays = await vi.waitFor(
      async () => {
        const judged = await judgedBy(here);
        expect(judged).toEqual(pots.casts.map(() => 'a date'));
        return judged;
      },
      { timeout: 30_000 },
    );
    await school(here, 'scale');
    const byScale = await vi.waitFor(
      async () => {
        const judged = await judgedBy(here);
        expect(judged).not.toEqual(byDays);
        return judged;
      },
      { timeout: 30_000 },
    );
    for (let burst = 0; burst < 100; burst++) {
      await Promise.all([school(here, 'calendar'), school(there, 'scale'), school(here, 'clear-film')]);
      await school(burst % 2 ? here : there, burst % 2 ? 'calendar' : 'scale');
      // Every tenth burst ends each connection of both servers, whatever they are at.
      if (burst % 10 === 4)
        await owner.query(
          `select pg_terminate_backend(pid) from pg_stat_activity where usename = 'dewpot_app' and datname = current_database()`,
        );
    }
    await settle(here, byDays);
    await school(there, 'scale');
    await settle(there, byScale);
    await owner.end();
  });

  it('is not lost with a server that dies over it: the next one takes it up', async () => {
    const email = newAddress();
    const here = await newWorkshop(one, 'Quince Yard', email);
    await dryingPots(here);
    const { workshop } = (await here.get('/api/session').expect(200)).body as { workshop: { id: string } };
    const owner = new Client({ connectionString: one.config.ownerUrl });
    await owner.connect();
    // A job that a server took up long ago and never brought to its end.
    await one.app.get(WorkshopContext).inWorkshop(workshop.id, async () => {
      await one.app.get(Jobs).ask('judge-dryness', { workshopId: workshop.id });
      await one.app.get(WorkshopContext).manager.query(
        `update jobs.job set state = 'active', started_on = now() - interval '5 minutes', expire_in = interval '1 second'
         where name = 'judge-dryness' and data ->> 'workshopId' = $1`,
        [workshop.id],
      );
    });
    const left = async () =>
      (
        await owner.query(`select state from jobs.job where name = 'judge-dryness' and data ->> 'workshopId' = $1`, [
          workshop.id,
        ])
      ).rows as { state: string }[];
    await vi.waitFor(async () => expect((await left()).map(({ state }) => state)).toEqual(['completed']), {
      timeout: 60_000,
      interval: 200,
    });
    await owner.end();
  });

  it('is asked for with what makes it necessary, or not at all', async () => {
    const workshopId = uuid();
    const rows = one.app.get(WorkshopContext);
    const broken = rows.inWorkshop(workshopId, async () => {
      await one.app.get(Jobs).ask('judge-dryness', { workshopId });
      throw new Error('Something else went wrong.');
    });
    await expect(broken).rejects.toThrow('Something else');
    const owner = new Client({ connectionString: one.config.ownerUrl });
    await owner.connect();
    const { rows: left } = await owner.query(`select 1 from jobs.job where data ->> 'workshopId' = $1`, [workshopId]);
    expect(left).toEqual([]);
    await owner.end();
  });
});
