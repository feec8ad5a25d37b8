import { defined } from '../../foundation/math/index.js';
import { HOUR, msg, quantity, exactly, type Message, listed } from '../../foundation/units/index.js';
import { pieceVolume, type PourLog, type PourPlan } from '../../process/pours/index.js';
import type { Life } from './life.js';
import { spotWords } from './spot-words.js';

/** What an earlier pour suggests to change, with what it rests on. */
export interface AgainAdvice {
  readonly change: Message;
  readonly evidence: Message;
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
  const spots = listed(
    [...new Set(hurt.flatMap(({ damage }) => damage.map(({ spot }) => spot)))].map((spot) => spotWords[spot]),
  );
  return [
    {
      change: msg('casts.leaveLonger', { hours: exactly(Math.max(...hurt.map(hours)), 'h') }),
      evidence: msg('casts.broke', { hurt: hurt.length, casts: casts.length, spots }),
    },
  ];
}

function airy(casts: readonly Life[]): AgainAdvice[] {
  const seen = casts.filter(({ bubbles }) => bubbles !== undefined);
  const many = seen.filter(({ bubbles }) => defined(bubbles) >= MANY);
  if (many.length === 0) return [];
  return [
    {
      change: msg('casts.pourSlower'),
      evidence: msg('casts.manyBubbles', { many: many.length, seen: seen.length }),
    },
  ];
}

function amount(plan: PourPlan, log: PourLog, filled: number): AgainAdvice[] {
  if (log.short)
    return [
      {
        change: msg('casts.mixMore', { spare: exactly(10, '%') }),
        evidence: msg('casts.fellShort', { short: quantity(Math.round(log.short), 'mL', 0) }),
        spare: Math.max(plan.spare, 0.1),
      },
    ];
  if (log.leftover === undefined || filled <= 0) return [];
  const share = log.leftover / filled;
  const told = msg('casts.leftOver', {
    leftover: quantity(Math.round(log.leftover), 'mL', 0),
    share: quantity(Math.round(share * 100), '%', 0),
  });
  if (share > PLENTY && plan.spare > 0.03)
    return [{ change: msg('casts.mixLess', { spare: exactly(3, '%') }), evidence: told, spare: 0.03 }];
  if (share < CLOSE) return [{ change: msg('casts.mixLittleMore'), evidence: told, spare: Math.max(plan.spare, 0.08) }]; // prettier-ignore
  return [];
}

function wetness(plan: PourPlan, log: PourLog): AgainAdvice[] {
  const off = log.grade - plan.mix.grade;
  if (off === 0) return [];
  return [
    {
      change: msg('casts.holdBack', { more: off > 0 ? 'yes' : 'no' }),
      evidence: msg('casts.cameOutOff', {
        off: Math.abs(off),
        wetter: off > 0 ? 'yes' : 'no',
      }),
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
