import { fileURLToPath } from 'node:url';
import { v7 as uuid } from 'uuid';
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest';
import { clock } from '../src/clock.js';
import { BuiltServer, signedInAt } from './built-server.js';
import { newAddress, newWorkshop, pouredPots, startServer, type Agent, type Harness } from './harness.js';

const MINUTE = 60_000;
const PROGRAMS = fileURLToPath(new URL('../dist/app', import.meta.url));

/** What a process is told so that its clock is off by so much, ms. */
const off = (by: number) => ({
  NODE_OPTIONS: `--import data:text/javascript,${encodeURIComponent(
    `const Own = Date; globalThis.Date = class extends Own {
       constructor(...given) { given.length > 0 ? super(...given) : super(Own.now() + ${by}); }
       static now() { return Own.now() + ${by}; }
     };`,
  )}`,
});

let harness: Harness;
let agent: Agent;
const email = newAddress();
beforeAll(async () => {
  harness = await startServer();
  agent = await newWorkshop(harness, 'Quince Yard', email);
});
afterAll(() => harness.close());

describe.each([-5, 5])('a server whose clock is %i minutes off', (minutes) => {
  const built = new BuiltServer(PROGRAMS, off(minutes * MINUTE));
  let there: Agent;
  beforeAll(async () => (there = await signedInAt(await built.serve(harness.config.ownerUrl), email)));
  afterAll(() => built.end());

  it('takes what happened just now, and refuses what is still to come', async () => {
    const { casts } = await pouredPots(agent, Date.now() - 60 * MINUTE);
    const tell = (at: number) =>
      there
        .post(`/api/casts/${casts[0]}/events`)
        .send({ id: uuid(), at, type: 'demoulded', damage: [], force: 'tapped' });
    await tell(Date.now() + 4 * MINUTE).expect(422);
    await tell(Date.now()).expect(200);
    const { body } = await agent.get(`/api/casts/${casts[0]}`).expect(200);
    expect((body as { life: { stage: string } }).life.stage).toBe('curing');
  });
});

describe('the clock of a server', () => {
  afterEach(() => clock.hear(0, 0, 0));

  it('goes by the database’s where the two are apart, and by its own where they agree', () => {
    const now = Date.now();
    clock.hear(now + 300_040, now, now + 80);
    expect(clock.offset).toBe(300_000);
    expect(clock.now() - Date.now()).toBe(300_000);
    clock.hear(now - 1_500, now, now + 80);
    expect(clock.offset).toBe(0);
  });

  it('learns nothing of an answer that was long under way', () => {
    clock.hear(900_000, 0, 900);
    expect(clock.offset).toBe(0);
  });
});
