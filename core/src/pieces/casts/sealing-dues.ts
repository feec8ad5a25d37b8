import { HOUR, DAY, msg, exactly, listed } from '../../foundation/units/index.js';
import {
  checksFor,
  sealCheckWords,
  recoatWindow,
  resealMonths,
  type CoatAmbientAt,
  type DryingAmbient,
  type DryingSchool,
  FILM_TEST_HOURS,
} from '../../process/sealing/index.js';
import type { Due } from './due.js';
import { isSouthernHemisphere } from './hemisphere.js';
import { decorationDryAt, lastCoat, sealerOfCoat, type Life, type Coat } from './life.js';

const MONTH = 30.44 * DAY;

/** What the dues from drying on need beside a cast's life. Times ms. */
export interface FinishContext {
  readonly now: number;
  /** When the gate opens by what is known, under the forecast. */
  readonly opensAt?: number;
  readonly dryEnough?: boolean;
  /** How the workshop tells that a piece is dry; by the scale where it is left out. */
  readonly drying?: DryingSchool;
  /** Like pieces of its pour are weighed for it. */
  readonly sampled?: boolean;
  /** IANA name of the zone in which its workshop lies. */
  readonly zone?: string;
  /** Air in which the last coat dries: recorded, then forecast, in order. */
  readonly ambient?: readonly CoatAmbientAt[];
}

const USUAL_AIR: DryingAmbient = { temperature: 20, humidity: 0.5 };
/** How long a weighed or tested piece waits for the next look. */
const NEXT_WEIGHING = 20 * HOUR;
const NEXT_TEST = 2 * DAY;

/** Whether a plan leaves the piece bare. */
const staysBare = ({ sealPlan }: Life) => sealPlan !== undefined && sealPlan.sealer === undefined;

function onceDry(life: Life, { opensAt }: FinishContext): Due {
  const good = Math.max(opensAt ?? 0, life.weighedAt ?? 0, decorationDryAt(life) ?? 0);
  return { task: staysBare(life) ? 'finish' : 'coat', early: good, good, late: good + 30 * DAY };
}

/** What is due to a piece that dries: the next look, or what comes once it is dry. */
export function dryingDues(life: Life, context: FinishContext): Due[] {
  const { dryEnough, drying = 'scale', opensAt, sampled, now } = context;
  const tested = drying === 'clear-film' && life.filmTest?.dry && life.filmTest.at >= (life.driesFrom ?? 0);
  if (dryEnough || tested) return [onceDry(life, context)];
  if (drying === 'calendar' && opensAt !== undefined) return [onceDry(life, context)];
  if (drying === 'clear-film') {
    const last = life.filmTest?.at;
    const good =
      last === undefined ? Math.max(life.driesFrom ?? life.pouredAt, (opensAt ?? now) - DAY) : last + NEXT_TEST;
    return [
      {
        task: 'moisture-test',
        early: good - DAY,
        good,
        late: good + 7 * DAY,
        told: msg('today.tapeFilm', { hours: exactly(FILM_TEST_HOURS, 'h') }),
      },
    ];
  }
  if (sampled) return [];
  const good = life.weighedAt === undefined ? (life.driesFrom ?? life.pouredAt) : life.weighedAt + NEXT_WEIGHING;
  return [{ task: 'weigh', early: good - 4 * HOUR, good, late: good + DAY }];
}

/** Coats that are still to come by its plan. */
export const coatsToCome = ({ sealPlan, coats }: Life): number => Math.max(0, (sealPlan?.coats ?? 1) - coats.length);

/** Checks that its plan wants and nobody has made since the last coat. */
export function checksToCome(life: Life) {
  const { sealPlan, checks = [] } = life;
  const last = lastCoat(life);
  if (!last) return [];
  const made = checks.filter(({ at }) => at >= last.at).map(({ check }) => check);
  return checksFor(sealPlan?.uses ?? [], last.sealer).filter((check) => !made.includes(check));
}

/** When a coat is as hard as it gets, ms. */
export const curedAt = (coat: Coat): number => coat.at + sealerOfCoat(coat).cureDays * DAY;

/** What is due to a piece with a coat on it: the next coat in its window, then its checks, then the door. */
export function sealedDues(life: Life, { ambient }: FinishContext): Due[] {
  const last = lastCoat(life);
  if (!last) return [];
  const sealer = sealerOfCoat(last);
  if (coatsToCome(life) > 0) {
    const { from, to } = recoatWindow(sealer, last.at, ambient ?? last.ambient ?? USUAL_AIR);
    const told = msg('today.coatOf', { coats: life.coats.length + 1, coats2: life.sealPlan?.coats ?? 1 });
    return [{ task: 'coat', early: from - (from - last.at) / 3, good: from, late: to, told }];
  }
  const cured = curedAt(last);
  const out: Due = { task: 'finish', early: cured - DAY, good: cured, late: cured + 60 * DAY };
  const checks = checksToCome(life);
  return checks.length === 0 || !life.sealPlan
    ? [out]
    : [
        {
          task: 'seal-test',
          early: cured - DAY,
          good: cured,
          late: cured + 14 * DAY,
          told: msg('today.checksToMake', { checks: listed(checks.map((check) => sealCheckWords[check].name)) }),
        },
        { ...out, early: cured, good: cured + DAY },
      ];
}

/** Months, from 0, in whose middle winter is over: outdoors pieces are asked after then, others after half a year. */
const SPRING = { north: 3, south: 9 } as const;
const MIDDLE = 15;
const LEAST_OUT = 60 * DAY;
/** So long the question stands, ms. */
const ASKED_FOR = 60 * DAY;

/**
 * When to ask what became of a piece that went out, ms: once, when there is something to tell. `zone`: IANA name of the zone in
 * which it lives, north of the equator where it is left out.
 */
export function lookBackAt(life: Life, zone = ''): number | undefined {
  const { finishedAt, sealPlan } = life;
  if (finishedAt === undefined) return undefined;
  const outside = sealPlan?.uses.some((use) => use === 'outdoors' || use === 'frost' || use === 'plants') ?? true;
  if (!outside) return finishedAt + 182 * DAY;
  const year = new Date(finishedAt + LEAST_OUT).getUTCFullYear();
  const spring = (in_: number) => Date.UTC(in_, SPRING[isSouthernHemisphere(zone) ? 'south' : 'north'], MIDDLE);
  return spring(year) >= finishedAt + LEAST_OUT ? spring(year) : spring(year + 1);
}

/** When a sealed face is to be tried with a drop of water, and sealed again where that soaks in, ms. */
export function resealAt(life: Life): number | undefined {
  const last = lastCoat(life);
  return last && last.at + resealMonths(last.sealer, life.sealPlan?.uses ?? []) * MONTH;
}

/** Of a piece that went out only its keeper sees it: of those kept, when it is to be sealed again. */
const resealDueAt = (life: Life) => (life.gone?.how === 'kept' ? resealAt(life) : undefined);

/** When something is due to a piece that went out, ms: until then nobody needs to look at it. `zone` as for `lookBackAt`. */
export function wakesAt(life: Life, zone?: string): number | undefined {
  if (life.stage !== 'finished' || life.later?.some(({ came }) => came === 'gone')) return undefined;
  const times = [life.later ? undefined : lookBackAt(life, zone), resealDueAt(life)].filter((at) => at !== undefined);
  return times.length > 0 ? Math.min(...times) : undefined;
}

/** What is due after the door: to be asked once how it lasted, and of what was kept, to be sealed again. */
export function finishedDues(life: Life, { now, zone }: Pick<FinishContext, 'now' | 'zone'>): Due[] {
  const asked = lookBackAt(life, zone);
  const again = resealDueAt(life);
  if (life.later?.some(({ came }) => came === 'gone')) return [];
  const dues: Due[] = [
    ...(asked !== undefined && !life.later
      ? [
          {
            task: 'record-condition' as const,
            early: asked,
            good: asked,
            late: asked + ASKED_FOR,
            told: msg('today.howDidItLast'),
          },
        ]
      : []),
    ...(again !== undefined
      ? [
          {
            task: 'reseal' as const,
            early: again - 30 * DAY,
            good: again,
            late: again + 90 * DAY,
            told: msg('today.tryDrop'),
          },
        ]
      : []),
  ];
  // It is asked once: whoever does not answer is left in peace.
  return dues.filter(({ late }) => now <= late);
}
