import { msg, type Message } from '@dewpot/core/units';
import type { Life, Stage } from '@dewpot/core/casts';

export const stageWords: Record<Stage, Message> = {
  setting: msg('ui.stageSetting'),
  curing: msg('ui.stageCuring'),
  drying: msg('ui.stageDrying'),
  sealed: msg('ui.stageSealed'),
  joined: msg('ui.stageJoined'),
  finished: msg('ui.stageFinished'),
  broken: msg('ui.stageBroken'),
};

/** Where a cast stands in the work; an article in its clamps is in no mould. */
export const stageOf = ({ stage, life }: { readonly stage: Stage; readonly life: Pick<Life, 'joint'> }): Message =>
  stage === 'setting' && life.joint ? msg('ui.stageClamped') : stageWords[stage];
