import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DAY, HOUR } from '@dewpot/core/units';
import { calendarExamples } from '../src/script-api/calendar-examples.js';
import { answersItsExamples, startServer, type Harness } from './harness.js';

let harness: Harness;
beforeAll(async () => {
  harness = await startServer();
});
afterAll(() => harness.close());

const ask = async (path: string, body: object) =>
  (await request(harness.app.getHttpServer()).post(`/api/calculate/calendar/${path}`).send(body)).body;

describe('questions about the calendar', () => {
  answersItsExamples('calendar', calendarExamples, () => harness);

  it('are answered as the handbook works them: 24 pots from three copies want 8 sessions, every other evening', async () => {
    const { sessions, ...rest } = await ask('schedule', calendarExamples.schedule);
    // Whether it is known to be the best in the time it has depends on what else the machine does: core's own tests hold that.
    expect(rest).toEqual({ possible: true, leastSessions: 8, best: expect.any(Boolean) as boolean, late: {} });
    const days = sessions.map(({ at }: { at: number }) => (at - calendarExamples.schedule.from - 19 * HOUR) / DAY);
    expect(days).toEqual([0, 2, 4, 6, 8, 10, 12, 14]);
    expect(await ask('pieces', calendarExamples.pieces)).toMatchObject({ pour: 28 });
  });

  it('tell where the evenings do not do, and refuse a mould that is not there by its field', async () => {
    const { schedule } = calendarExamples;
    expect(await ask('schedule', { ...schedule, to: schedule.from + 5 * DAY })).toMatchObject({ possible: false });
    const [line] = schedule.lines;
    const lost = await ask('schedule', { ...schedule, lines: [{ ...line, mouldId: 'dish' }] });
    expect(lost.errors).toMatchObject([{ field: 'lines.0.mouldId', value: 'dish' }]);
    const { times } = await ask('chain', { ...calendarExamples.chain, air: calendarExamples.chain.air.slice(0, 72) });
    expect(times).toBeUndefined();
  });
});
