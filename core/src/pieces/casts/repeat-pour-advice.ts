import { defined } from '../../foundation/math/index.js';
import { HOUR } from '../../foundation/units/index.js';
import { pieceVolume, type PourLog, type PourPlan } from '../../process/pours/index.js';
import type { Life } from './life.js';

/** What an earlier pour suggests to change, with what it rests on. */
export interface AgainAdvice {
  readonly change: string;
  readonly evidence: string;
  /** What of the plan it changes by itself, where it does. */
  readonly spare?: number;
}

/** Bubbles from this grade on are many. */
const MANY = 3;
/** Less was left over than this share of what was filled: too close. */
const CLOSE = 0.01;
/** More was left over than this: too much. */
const PLENTY = 0.12;

const hours = (life: Life) => Math.round(((life.demouldedAt ?? life.pouredAt) - life.pouredAt) / HOUR);

/** Damage that comes of lifting out too early: corners, rims and faces that stayed in the mould. */
function early(casts: readonly Life[]): AgainAdvice[] {
  const hurt = casts.filter(({ damage }) => damage.some(({ spot }) => spot === 'corner' || spot === 'rim' || spot === 'face')); // prettier-ignore
  if (hurt.length === 0) return [];
  const spots = [...new Set(hurt.flatMap(({ damage }) => damage.map(({ spot }) => spot)))].join(', ');
  return [
    {
      change: `Leave them in the mould longer than ${Math.max(...hurt.map(hours))} h.`,
      evidence: `${hurt.length} of ${casts.length} broke at the ${spots} on demoulding.`,
    },
  ];
}

function airy(casts: readonly Life[]): AgainAdvice[] {
  const seen = casts.filter(({ bubbles }) => bubbles !== undefined);
  const many = seen.filter(({ bubbles }) => defined(bubbles) >= MANY);
  if (many.length === 0) return [];
  return [
    {
      change: 'Pour slower, tap each lift longer, and wipe pools of release out; or go one grade wetter.',
      evidence: `Many bubbles on ${many.length} of ${seen.length} that were looked at.`,
    },
  ];
}

function amount(plan: PourPlan, log: PourLog, filled: number): AgainAdvice[] {
  if (log.short)
    return [
      {
        change: 'Mix more: 10 % spare.',
        evidence: `It fell ${Math.round(log.short)} mL short of the moulds.`,
        spare: Math.max(plan.spare, 0.1),
      },
    ];
  if (log.leftover === undefined || filled <= 0) return [];
  const share = log.leftover / filled;
  const told = `${Math.round(log.leftover)} mL were left over, ${Math.round(share * 100)} % of what the moulds took.`;
  if (share > PLENTY && plan.spare > 0.03) return [{ change: 'Mix less: 3 % spare.', evidence: told, spare: 0.03 }];
  if (share < CLOSE) return [{ change: 'Mix a little more: it was close.', evidence: told, spare: Math.max(plan.spare, 0.08) }]; // prettier-ignore
  return [];
}

function wetness(plan: PourPlan, log: PourLog): AgainAdvice[] {
  const off = log.grade - plan.mix.grade;
  if (off === 0) return [];
  return [
    {
      change: `Hold ${off > 0 ? 'more' : 'less'} of the water back: the mix has learned of it already.`,
      evidence: `It came out ${Math.abs(off)} ${Math.abs(off) === 1 ? 'grade' : 'grades'} ${off > 0 ? 'wetter' : 'drier'} than planned.`,
    },
  ];
}

/** What an earlier pour suggests changing when it is poured again, each with its evidence. */
export function repeatPourAdvice(
  { plan, log }: { readonly plan: PourPlan; readonly log?: PourLog | undefined },
  casts: readonly Life[],
): AgainAdvice[] {
  const filled = plan.items.reduce((sum, item) => sum + pieceVolume(item) * item.count, 0);
  const demoulded = casts.filter(({ demouldedAt, brokenAt }) => demouldedAt !== undefined || brokenAt !== undefined);
  return [...early(demoulded), ...airy(casts), ...(log ? [...amount(plan, log, filled), ...wetness(plan, log)] : [])];
}
