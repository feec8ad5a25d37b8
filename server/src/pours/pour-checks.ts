import { HOUR, MOST_HOURS, msg, type Message } from '@dewpot/core/units';
import type { PourFinish } from '@dewpot/contract';
import { ProblemError } from '../http/problem-error.js';
import type { PourEntity } from './pours.entities.js';

const TEN_YEARS = MOST_HOURS * HOUR;

/** What was poured stays as it was. @throws ProblemError 409 */
export function checkPlanned(row: PourEntity | null): void {
  if (row && row.status !== 'planned')
    throw new ProblemError(409, msg('server.alreadyPoured'), {
      detail: msg('server.planStays'),
    });
}

/** Refuses an end that cannot be. @throws ProblemError */
export function checkFinish({ input, parts }: PourEntity, { casts, logs, pouredAt }: PourFinish, now: number): void {
  const wrong = (field: string, value: unknown, message: Message, remedy: Message) =>
    ProblemError.refused(msg('server.invalid'), field, value, message, remedy);
  if (pouredAt > now + 120_000)
    throw wrong('pouredAt', pouredAt, msg('server.pourInFuture'), msg('server.enterWhenPoured'));
  if (pouredAt < now - TEN_YEARS)
    throw wrong('pouredAt', pouredAt, msg('server.pourLongAgo'), msg('server.enterWhenPoured'));
  const counts = { parts: parts.length, logs: logs.length };
  if (logs.length !== parts.length)
    throw wrong('logs', logs.length, msg('server.mixCount', counts), msg('server.tellEach'));
  const stray = casts.find(({ item }) => item >= input.items.length);
  if (stray) throw wrong('casts', stray.item, msg('server.notOfPour'), msg('server.chooseOfPour'));
}
