import { msg, type Message } from '@dewpot/core/units';
import type { PlannedTaskKind } from '@dewpot/core/calendar';

/** What is done to pieces that are not poured yet. */
export const taskWords: Record<PlannedTaskKind, Message> = {
  demould: msg('today.taskDemould'),
  damp: msg('calendar.taskKeepDamp'),
  'end-moist-curing': msg('today.taskEndMoistCuring'),
  weigh: msg('today.taskWeigh'),
  coat: msg('today.taskCoat'),
};
