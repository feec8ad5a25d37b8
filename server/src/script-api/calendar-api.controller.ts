import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import { InputError, msg } from '@dewpot/core/units';
import {
  airCourse,
  atHandBetween,
  casterWeek,
  chainOf,
  chanceOfEnough,
  freeAgain,
  leastPoured,
  makeSchedule,
  slotsOf,
  type CasterWeek,
  type ChainTimes,
  type SchedulingProblem,
} from '@dewpot/core/calendar';
import { sealers } from '@dewpot/core/materials';
import { USUAL_TAU } from '@dewpot/core/sealing';
import { loadSolver, type Solver } from '@dewpot/core/solver';
import { ChainQuestion, PiecesQuestion, ScheduleQuestion, type WeekAsked } from '@dewpot/contract';
import { Calculated } from '../calculation/calculated.js';
import { apiExample } from './api-example.js';
import { calendarExamples } from './calendar-examples.js';

/** A schedule is looked for so long, s, over so many evenings. */
const SECONDS = 1.5;
const MOST_SLOTS = 60;
const RELEASE = 30;

let solver: Promise<Solver> | undefined;

const weekOf = ({ attended, sessions, away = [], otherSessions = [] }: WeekAsked): CasterWeek =>
  casterWeek({ attended, sessions, away, otherSessions });

/** A session as it is told. */
interface ToldSession {
  /** ms */
  readonly at: number;
  readonly minutes: number;
  readonly poured: readonly { readonly line: string; readonly count: number }[];
  readonly buckets: number;
}

/** The problem that a script describes. @throws InputError where a line names a mould or a mix that is not there */
function problemOf({ week, from, to, fixed, moulds, mixes, lines }: ScheduleQuestion): SchedulingProblem {
  const own = weekOf(week);
  const slots = slotsOf([own], from, to, week.zone).slice(0, MOST_SLOTS);
  const lost = lines.flatMap(({ mouldId, mixId }, i) => [
    ...(moulds.some(({ id }) => id === mouldId) ? [] : [{ field: `lines.${i}.mouldId`, value: mouldId }]),
    ...(mixes.some(({ id }) => id === mixId) ? [] : [{ field: `lines.${i}.mixId`, value: mixId }]),
  ]);
  if (lost.length > 0)
    throw new InputError(lost.map((one) => ({ ...one, message: msg('calendar.notNamed'), remedy: msg('pours.chooseAnother') }))); // prettier-ignore
  return {
    slots,
    fixed,
    mixes: mixes.map(({ id, ...mix }) => ({ key: id, ...mix })),
    lines: lines.map(({ id, mixId, pouredBy, ...line }) => ({
      key: id,
      mixKey: mixId,
      ...line,
      ...(pouredBy !== undefined && { lastSlot: slots.findLastIndex(({ at }) => at <= pouredBy) }),
    })),
    shared: moulds.map(({ id, copies, demould, release = RELEASE }) => {
      const until = freeAgain(slots, { demould, release }, [own], week.zone);
      const uses = lines.flatMap((line) => (line.mouldId === id ? [{ line: line.id, each: 1, until }] : []));
      return { kind: 'copies', of: id, room: copies, uses };
    }),
  };
}

/** Working for scripts about the calendar. Nothing is kept. */
@Calculated()
@Controller('api/calculate/calendar')
export class CalendarApiController {
  /** Which evening pours what: the fewest pieces late, the fewest sessions, the earliest end; and how few sessions there can be. */
  @Post('schedule')
  @HttpCode(200)
  @apiExample(ScheduleQuestion, calendarExamples.schedule)
  async schedule(@Body() question: ScheduleQuestion): Promise<{
    possible: boolean;
    sessions: ToldSession[];
    leastSessions: number;
    best: boolean;
    late: Record<string, number>;
  }> {
    const problem = problemOf(question);
    const solve = await (solver ??= loadSolver());
    const found = makeSchedule(problem, { solve, seconds: SECONDS, clock: () => performance.now() / 1000 });
    if (!found) return { possible: false, sessions: [], leastSessions: 0, best: false, late: {} };
    return {
      possible: true,
      sessions: found.sessions.map(({ slot, minutes, poured, batches }) => ({
        at: problem.slots[slot]?.at ?? 0,
        minutes,
        poured,
        buckets: batches.reduce((sum, { buckets }) => sum + buckets, 0),
      })),
      leastSessions: found.leastSessions,
      best: found.best,
      late: Object.fromEntries(found.late),
    };
  }

  /** How many pieces to pour so that enough come out good, four times in five. */
  @Post('pieces')
  @HttpCode(200)
  @apiExample(PiecesQuestion, calendarExamples.pieces)
  pieces(@Body() { wanted, risk }: PiecesQuestion): { pour: number; chance: number } {
    const pour = leastPoured(wanted, risk);
    return { pour, chance: chanceOfEnough(pour, wanted, 1 - risk) };
  }

  /** When a piece comes to each state, ms; nothing where the air that is told ends before. */
  @Post('chain')
  @HttpCode(200)
  @apiExample(ChainQuestion, calendarExamples.chain)
  chain(@Body() question: ChainQuestion): { times?: ChainTimes } {
    const { pouredAt, binderClass, demouldAge, curingAge, curingDays = 0, dry, loss, tau = USUAL_TAU } = question;
    const { sealer, coats = 1, air, week } = question;
    const course = airCourse(air.map((one) => ({ ...one, wind: 0 })));
    const atHand = atHandBetween([weekOf(week)], pouredAt, Math.max(pouredAt, course.end), week.zone);
    const times = chainOf(
      {
        binderClass,
        demouldAge,
        curing: { age: curingAge, days: curingDays },
        prior: { dry, loss },
        tau,
        ...(sealer && { sealing: { sealer: sealers[sealer], coats } }),
      },
      pouredAt,
      course,
      atHand,
    );
    return times ? { times } : {};
  }
}
