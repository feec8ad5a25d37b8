import type { Placing, PlacingStep } from '@dewpot/core';
import { saySpan } from '../ui/say-when';

const MINUTE = 60_000;

/** When a step is done: within so many minutes, or in a window after what it waits for. */
export function stepTime({ key, within, window }: PlacingStep): string {
  if (within !== undefined) return `within ${saySpan(within * MINUTE)}`;
  if (!window) return '';
  const [from, to] = window.map((minutes) => saySpan(minutes * MINUTE));
  const after = key === 'smooth' ? 'after pressing' : 'after striking off';
  return window[0] < 1 ? `within ${to} ${after}` : `${from} to ${to} ${after}`;
}

/** How each kind of mould is filled, step by step, with tool and time. */
export function Placings({ placings }: { placings: readonly Placing[] }) {
  return placings.map(({ item, name, way, steps }) => (
    <section key={item} aria-label={`How ${name} is filled`} className="my-2">
      <h3 className="font-sans font-semibold">
        {name} <span className="quiet font-normal">{way}</span>
      </h3>
      <ol className="list-decimal space-y-0.5 pl-6">
        {steps.map((step) => (
          <li key={step.text}>
            {step.text} <span className="quiet text-sm">{[step.tool, stepTime(step)].filter(Boolean).join(', ')}</span>
          </li>
        ))}
      </ol>
    </section>
  ));
}
