import { v7 as uuid } from 'uuid';
import { DAY } from '@dewpot/core/units';
import { pouredPots, type Agent } from './harness.js';

type Sent = Record<string, unknown> & { readonly type: string; readonly day?: number };

/** Pots of one pour, and how things are told of them by the day since it. */
export async function dryingPots(by: Agent, daysAgo = 60, count = 3) {
  const poured = Date.now() - daysAgo * DAY;
  const keys = await pouredPots(by, poured, count);
  const tell = (cast: string, { day = 0, ...event }: Sent, at = poured + day * DAY) =>
    by.post(`/api/casts/${cast}/events`).send({ id: uuid(), at: Math.round(at), ...event });
  const dried = async (cast: string) => {
    await tell(cast, { type: 'demoulded', day: 2, damage: [] }).expect(200);
    await tell(cast, { type: 'uncovered', day: 8 }).expect(200);
  };
  const { body } = await by.get(`/api/casts/${keys.casts[0]}`).expect(200);
  const { dry, loss } = body.expected as { dry: number; loss: number };
  const mass = (day: number) => Math.round(dry + 0.85 * loss * Math.exp(-(((day - 8) / 4) ** 0.75)));
  const weigh = async (cast: string, days: readonly number[], more: object = {}) => {
    for (const day of days) await tell(cast, { type: 'weighed', day, mass: mass(day), step: 1, ...more }).expect(200);
  };
  return { ...keys, tell, dried, weigh, mass, dry, poured };
}
/** Whole numbers from one to another. */
export const span = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, i) => from + i);
/** A cast as its page has it. */
export const castOf = async (by: Agent, id: string) => (await by.get(`/api/casts/${id}`).expect(200)).body;
