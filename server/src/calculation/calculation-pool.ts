import { msg, type Message } from '@dewpot/core/units';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { MessageChannel } from 'node:worker_threads';
import { Inject, Injectable, type OnModuleDestroy } from '@nestjs/common';
import { Piscina } from 'piscina';
import { CONFIG, type ServerConfig } from '../config.js';
import { ProblemError } from '../http/problem-error.js';
import { Slots } from './slots.js';
import type { Tasks } from '../threads/tasks.js';
import type { CrossingAnswer } from './crossing.js';

/** A calculation may take so long once it has begun, ms. */
const MOST_TIME = 5_000;
/** A thread may take so long to start and begin, ms: loading the program is no part of a calculation. */
const MOST_START = 30_000;
/** Memory of one calculation, MB. */
const MOST_MEMORY = 512;
/** Calculations that wait for their turn. */
const MOST_WAITING = 64;
/** … and as long as so many of them may take. */
const PATIENCE = 2;
/** A picture waits longer: they are drawn one at a time, since a large one takes a gigabyte. */
const PICTURE_PATIENCE = 30_000;
/** Where one part of an archive is not done, all of it was in vain: on a busy machine each has this time, and waits as long, ms. */
const ARCHIVE_TIME = 60_000;
/** Threads: one core is left to the requests, yet one long calculation must not keep all others waiting. */
const THREADS = Math.max(2, availableParallelism() - 1);
/** Calculations give way to requests, by the nice value of their threads. */
const NICE = 10;
/** An idle thread ends after so long, ms. */
const IDLE = 60_000;

const tooMuch = (why: Message) => new ProblemError(422, msg('server.tooMuchToCalculate'), { detail: why });

const busy = () =>
  new ProblemError(503, msg('server.tooBusy'), {
    detail: msg('server.manyWaiting'),
    retryAfter: 3,
  });

/** Threads for one kind of work: how many pieces of it run and wait, and how long each may take, ms. */
interface Lane {
  readonly threads: Piscina;
  readonly slots: Slots;
  readonly time: number;
}

/** Work that does not go with the calculations that somebody waits for. */
const APART: Partial<Record<keyof Tasks, 'pictures' | 'archives'>> = {
  redraw: 'pictures',
  shrink: 'pictures',
  checkKept: 'archives',
  archiveRows: 'archives',
};

/** Runs calculations on threads of their own, each within a limit of time and of memory. */
@Injectable()
export class CalculationPool implements OnModuleDestroy {
  private readonly lanes: Readonly<Record<'questions' | 'pictures' | 'archives', Lane>>;

  constructor(@Inject(CONFIG) { programs, calculationTime: time = MOST_TIME }: ServerConfig) {
    const threads = (maxThreads: number, minThreads: number) =>
      new Piscina({
        filename: join(programs, 'calculation.cjs'),
        minThreads,
        maxThreads,
        niceIncrement: NICE,
        idleTimeout: IDLE,
        resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY },
      });
    this.lanes = {
      questions: { threads: threads(THREADS, 1), slots: new Slots(THREADS, MOST_WAITING, PATIENCE * time), time },
      pictures: { threads: threads(1, 0), slots: new Slots(1, 8, PICTURE_PATIENCE), time },
      archives: { threads: threads(1, 0), slots: new Slots(1, 8, ARCHIVE_TIME), time: ARCHIVE_TIME },
    };
  }

  /** Runs one of the tasks. @throws InputError, ProblemError as the task does; 422 past a limit, 503 where too many wait */
  async run<K extends keyof Tasks>(name: K, ...given: Parameters<Tasks[K]>): Promise<Awaited<ReturnType<Tasks[K]>>> {
    const lane = this.lanes[APART[name] ?? 'questions'];
    const answer = await lane.slots.run(() => this.within(lane, name, given), busy);
    if (answer.problem) throw ProblemError.from(answer.problem);
    return answer.value as Awaited<ReturnType<Tasks[K]>>;
  }

  async onModuleDestroy(): Promise<void> {
    await Promise.all(Object.values(this.lanes).map(({ threads }) => threads.destroy()));
  }

  private async within({ threads, time }: Lane, task: string, given: readonly unknown[]): Promise<CrossingAnswer> {
    const stop = new AbortController();
    const { port1: told, port2: begun } = new MessageChannel();
    let timer = setTimeout(() => stop.abort(), MOST_START);
    told.once('message', () => {
      clearTimeout(timer);
      timer = setTimeout(() => stop.abort(), time);
    });
    try {
      return (await threads.run(
        { task, given, begun },
        { signal: stop.signal, transferList: [begun] },
      )) as CrossingAnswer;
    } catch (error) {
      if (stop.signal.aborted) throw tooMuch(msg('server.tookTooLong', { time: time / 1000 }));
      if ((error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY')
        throw tooMuch(msg('server.tookTooMuch', { mostMemory: MOST_MEMORY }));
      throw error;
    } finally {
      clearTimeout(timer);
      told.close();
    }
  }
}
