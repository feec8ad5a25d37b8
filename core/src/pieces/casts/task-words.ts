import type { Due } from './due.js';
import type { CastTask } from './events.js';

/** What a task is called. */
export const taskWords: Record<CastTask, string> = {
  'remove-core': 'Remove core',
  demould: 'Demould',
  unclamp: 'Unclamp',
  cover: 'Cover',
  wet: 'Wet',
  'end-soak': 'End soak',
  'end-moist-curing': 'End moist curing',
  weigh: 'Weigh',
  'moisture-test': 'Moisture test',
  coat: 'Apply coat',
  'seal-test': 'Test the seal',
  finish: 'Finish',
  'record-condition': 'Record condition',
  reseal: 'Reseal',
};

/** A task by its name; a core by its own. */
export const taskInWords = ({ task, core }: Pick<Due, 'task' | 'core'>): string =>
  core ? `Remove ${core}` : taskWords[task];
