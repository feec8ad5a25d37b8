import type { PlacingStep } from '@dewpot/core/pours';

/** When a step of placing is done: within so many minutes, or in a window after what it waits for. */
export function stepTime({ key, within, window }: PlacingStep, say: (minutes: number) => string): string {
  if (within !== undefined) return `within ${say(within)}`;
  if (!window) return '';
  const [from, to] = window;
  const after = key === 'smooth' ? 'after pressing' : 'after striking off';
  return from < 1 ? `within ${say(to)} ${after}` : `${say(from)} to ${say(to)} ${after}`;
}
