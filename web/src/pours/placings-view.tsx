import type { Placing, PlacingStep } from '@dewpot/core';
import { saySpan } from '../ui/say-when';

const MINUTE = 60_000;

/** When a step is done: within so many minutes, or in a window after striking. */
export function stepTime({ within, window }: PlacingStep): string {
  if (window) return `${saySpan(window[0] * MINUTE)} to ${saySpan(window[1] * MINUTE)} after`;
  return within === undefined ? '' : `within ${saySpan(within * MINUTE)}`;
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
