import { msg, type Message } from '../../foundation/units/index.js';
import type { Due } from './due.js';
import type { CastTask } from './events.js';

/** What a task is called. */
export const taskWords: Record<CastTask, Message> = {
  'remove-core': msg('casts.taskRemoveCore'),
  demould: msg('casts.taskDemould'),
  unclamp: msg('casts.taskUnclamp'),
  cover: msg('casts.taskCover'),
  wet: msg('casts.taskWet'),
  'end-soak': msg('casts.taskEndSoak'),
  'end-moist-curing': msg('casts.taskEndMoistCuring'),
  weigh: msg('casts.taskWeigh'),
  'moisture-test': msg('casts.taskMoistureTest'),
  coat: msg('casts.taskCoat'),
  'seal-test': msg('casts.taskSealTest'),
  finish: msg('casts.taskFinish'),
  'record-condition': msg('casts.taskRecordCondition'),
  reseal: msg('casts.taskReseal'),
};

/** A task by its name; a core by its own. */
export const taskInWords = ({ task, core }: Pick<Due, 'task' | 'core'>): Message =>
  core ? msg('casts.taskRemoveNamed', { core }) : taskWords[task];
