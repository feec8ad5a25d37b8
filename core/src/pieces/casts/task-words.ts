import { msg, type Message } from '../../foundation/units/index.js';
import type { Due } from './due.js';
import type { CastTask } from './events.js';

/** What a task is called. */
export const taskWords: Record<CastTask, Message> = {
  'remove-core': msg('today.taskRemoveCore'),
  demould: msg('today.taskDemould'),
  unclamp: msg('today.taskUnclamp'),
  cover: msg('today.taskCover'),
  wet: msg('today.taskWet'),
  'end-soak': msg('today.taskEndSoak'),
  'end-moist-curing': msg('today.taskEndMoistCuring'),
  weigh: msg('today.taskWeigh'),
  'moisture-test': msg('today.taskMoistureTest'),
  coat: msg('today.taskCoat'),
  'seal-test': msg('today.taskSealTest'),
  finish: msg('today.taskFinish'),
  'record-condition': msg('today.taskRecordCondition'),
  reseal: msg('today.taskReseal'),
};

/** A task by its name; a core by its own. */
export const taskInWords = ({ task, core }: Pick<Due, 'task' | 'core'>): Message =>
  core ? msg('today.taskRemoveNamed', { core }) : taskWords[task];
