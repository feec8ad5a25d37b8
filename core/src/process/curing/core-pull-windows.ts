import { msg, type Message } from '../../foundation/units/index.js';
/** How a core comes out, by what it is. */
export type CoreKind = 'stiff' | 'greased' | 'soft plug' | 'tapered' | 'block';

/** When a core is pulled, as shares of the initial set (handbook section 10), and how. */
export interface PullWindow {
  readonly good: number;
  readonly late: number;
  readonly how: Message;
}

/** Tapered inner moulds come out with the demoulding; blocks are broken out any time after it. */
export const pullWindows: Record<Exclude<CoreKind, 'tapered' | 'block'>, PullWindow> = {
  stiff: { good: 1.2, late: 1.8, how: msg('today.turnThenDraw') },
  greased: { good: 1, late: 3, how: msg('today.turnAndDraw') },
  'soft plug': { good: 2, late: 6, how: msg('today.pluckOut') },
};
/** Share of the window's beginning before which it is too early by far. */
export const PULL_EARLY = 0.8;
