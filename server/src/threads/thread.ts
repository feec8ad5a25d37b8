import type { MessagePort } from 'node:worker_threads';
import { InputError, msg } from '@dewpot/core/units';
import { ProblemError } from '../http/problem-error.js';
import type { CrossingAnswer, Refusal } from '../calculation/crossing.js';
import { taskCalled, type Tasks } from './tasks.js';

interface Call {
  readonly task: keyof Tasks;
  readonly given: readonly unknown[];
  /** Told when the work begins: its limit of time is counted from there. */
  readonly begun: MessagePort;
}

/** How a refusal crosses to the requests' own thread; undefined for what is a fault. */
function refusalOf(error: unknown): Refusal | undefined {
  if (error instanceof InputError) return refusalOf(ProblemError.of(error));
  if (error instanceof ProblemError) {
    const { status, title, detail, errors } = error;
    return { status, title, detail, errors };
  }
  // Loops of core that do not settle, and lists that no memory holds.
  if (error instanceof RangeError)
    return {
      status: 422,
      title: msg('server.tooMuchToCalculate'),
      detail: msg('server.asTold', { text: error.message }),
      errors: [],
    };
  return undefined;
}

/** The thread's own work: one task at a time. */
export default async function work({ task, given, begun }: Call): Promise<CrossingAnswer> {
  const run = (await taskCalled(task)) as (...args: readonly unknown[]) => unknown;
  begun.postMessage(null);
  begun.close();
  try {
    return { value: await run(...given) };
  } catch (error) {
    const problem = refusalOf(error);
    if (problem) return { problem };
    throw error;
  }
}
