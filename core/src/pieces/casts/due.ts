import { HOUR, DAY, msg, type Message } from '../../foundation/units/index.js';
import { initialSet, type BinderClass } from '../../mixing/binders/index.js';
import {
  moistCuringEnd,
  demouldWindow,
  PULL_EARLY,
  type MoistCuring,
  type PulledCore,
} from '../../process/curing/index.js';
import type { CastTask } from './events.js';
import type { Life } from './life.js';
import { dryingDues, finishedDues, sealedDues, type FinishContext } from './sealing-dues.js';
import { nextWetting, type Wetting } from './wetting.js';

/** A band of time for a task, ms: early before `good`, late after `late`. */
export interface Window {
  readonly task: CastTask;
  readonly early: number;
  readonly good: number;
  readonly late: number;
}

/** Something to do to a cast, and when. */
export interface Due extends Window {
  /** Which core is pulled. */
  readonly core?: string;
  /** How, or why now. */
  readonly told?: Message;
  /** Postponed until then, ms. */
  readonly postponedUntil?: number;
}

/** What `duesOf` needs beside a cast's life. */
export interface DueContext extends FinishContext {
  readonly binderClass: BinderClass;
  /** Initial set of its mix at 20 °C, h; the handbook's where left out. */
  readonly initialSet?: number;
  /** When the piece is as old as so many equivalent hours at 20 °C, ms; undefined where that is out of sight. */
  readonly reach: (age: number) => number | undefined;
  /** The age of its demoulding, equivalent hours: learned, or the handbook's. */
  readonly demouldAge: number;
  readonly cores?: readonly PulledCore[];
  readonly moistCuring?: MoistCuring;
  /** Kept damp longer: lightweight, or to meet frost. */
  readonly longer?: boolean;
  /** What its open faces want; undefined where nothing is known of the air. */
  readonly wetting?: Wetting;
}

/** What is not in sight by the forecast is put so far off, ms. */
const HORIZON = 90 * DAY;

function demould(life: Life, { reach, demouldAge }: DueContext): Due {
  const at = (age: number) => reach(age) ?? life.pouredAt + HORIZON;
  return {
    task: 'demould',
    early: at(demouldWindow.early * demouldAge),
    good: at(demouldAge),
    late: at(demouldWindow.late * demouldAge),
  };
}

/** Cores that are drawn while the piece is green, each by the initial set at 20 °C. */
function pulls(life: Life, { cores = [], reach, binderClass, initialSet: at20 }: DueContext): Due[] {
  const set = initialSet(binderClass, 20, at20);
  const at = (share: number) => reach(share * set) ?? life.pouredAt + HORIZON;
  return cores
    .filter(({ name }) => !life.pulled?.includes(name))
    .map(({ name, window: { good, late, how } }) => ({
      task: 'remove-core',
      core: name,
      early: at(PULL_EARLY * good),
      good: at(good),
      late: at(late),
      told: how,
    }));
}

function endOfMoistCuring(life: Life, { binderClass, reach, moistCuring, longer }: DueContext): Due {
  const { age, days } = moistCuringEnd(binderClass, moistCuring, longer);
  const byAge = age > 0 ? (reach(age) ?? life.pouredAt + HORIZON) : life.pouredAt;
  const good = Math.max(byAge, life.pouredAt + days * DAY, life.demouldedAt ?? life.pouredAt);
  return { task: 'end-moist-curing', early: good - DAY, good, late: good + 21 * DAY };
}

function endOfSoak({ soak }: Life): Due[] {
  if (!soak) return [];
  const good = soak.since + soak.hours * HOUR;
  const told = soak.bath === 'leach' ? msg('today.changeWaterOrStrip') : msg('today.takeOutRinse');
  return [{ task: 'end-soak', early: good - HOUR, good, late: good + (soak.bath === 'vinegar' ? HOUR : DAY), told }];
}

/** An article stands clamped or propped until its joint holds it. */
function unclamp({ unclampAt }: NonNullable<Life['joint']>): Due {
  return { task: 'unclamp', early: unclampAt - HOUR, good: unclampAt, late: unclampAt + 14 * DAY };
}

/** In the mould an open face is not wetted, but it may want a cover. */
const covering = (life: Life, context: DueContext) => nextWetting(life, context).filter(({ task }) => task === 'cover');

function byStage(life: Life, context: DueContext): Due[] {
  switch (life.stage) {
    case 'setting':
      if (life.joint) return [unclamp(life.joint)];
      return [...pulls(life, context), ...covering(life, context), demould(life, context)];
    case 'curing':
      return [...endOfSoak(life), ...nextWetting(life, context), endOfMoistCuring(life, context)];
    case 'drying':
      return [...endOfSoak(life), ...dryingDues(life, context)];
    case 'sealed':
      return sealedDues(life, context);
    case 'finished':
      return finishedDues(life, context);
    default:
      return [];
  }
}

/** What is to be done to a cast, what comes first at the head; nothing for one that is part of an article, or broken. */
export function duesOf(life: Life, context: DueContext): Due[] {
  return byStage(life, context)
    .map((due): Due => {
      const until = life.postponed?.[due.task] ?? 0;
      return until > context.now ? { ...due, postponedUntil: until } : due;
    })
    .sort((a, b) => (a.postponedUntil ?? a.good) - (b.postponedUntil ?? b.good));
}

/** Where `now` lies in a window. */
export function phaseOf(window: Omit<Window, 'task'>, now: number): 'before' | 'early' | 'good' | 'late' {
  if (now < window.early) return 'before';
  if (now < window.good) return 'early';
  return now <= window.late ? 'good' : 'late';
}

/** What putting a task off until a time costs: nothing, or its window closes at `at`. */
export interface PostponementCost {
  readonly costs: 'nothing' | 'window' | 'dryness' | 'time';
  readonly at: number;
  readonly why: Message;
}

const lateMeans: Record<CastTask, { readonly costs: PostponementCost['costs']; readonly why: Message }> = {
  'remove-core': { costs: 'window', why: msg('today.coreLocks') },
  demould: { costs: 'window', why: msg('today.coreMayLock') },
  cover: { costs: 'dryness', why: msg('today.facesDryOut') },
  wet: { costs: 'dryness', why: msg('today.facesLieDry') },
  'end-soak': { costs: 'window', why: msg('today.bathEats') },
  'end-moist-curing': { costs: 'time', why: msg('today.driesLater') },
  weigh: { costs: 'time', why: msg('today.toldLater') },
  unclamp: { costs: 'time', why: msg('today.clampsBusy') },
  'moisture-test': { costs: 'time', why: msg('today.toldLater') },
  coat: { costs: 'time', why: msg('today.waitsWell') },
  'seal-test': { costs: 'time', why: msg('today.keeperFinds') },
  'record-condition': { costs: 'time', why: msg('today.taughtLater') },
  reseal: { costs: 'time', why: msg('today.waterGetsIn') },
  finish: { costs: 'time', why: msg('today.waitsDry') },
};

/** What putting a task off until `until` costs, before it is done. */
export function postponementCost({ task, late }: Window, until: number): PostponementCost {
  const { costs, why } = lateMeans[task];
  if (costs === 'time') return { costs: 'time', at: late, why };
  return until <= late ? { costs: 'nothing', at: late, why } : { costs, at: late, why };
}
