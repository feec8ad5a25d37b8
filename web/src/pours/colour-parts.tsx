import { msg, quantity } from '@dewpot/core/units';
import type { Layer } from '@dewpot/core/pours';
import type { ColouringInput, TintView } from '@dewpot/contract';
import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { IconButton } from '../ui/icon-button';
import { NumberField } from '../ui/number-field';
import { FigureWorking } from '../ui/figure-working';
import { swapped } from '../ui/swapped';
import { useSay } from '../ui/say';

/** The tints of a colouring with their shares; bands stand as they lie, the uppermost first. */
export function ColourParts({
  colouring,
  tints,
  layers,
  colours,
  onChange,
  onWithout,
}: {
  colouring: ColouringInput;
  tints: readonly TintView[];
  layers: readonly Layer[];
  /** As they dry in this mix. */
  colours: readonly string[];
  onChange: (colouring: ColouringInput) => void;
  onWithout: (at: number) => void;
}) {
  const say = useSay();
  const banded = colouring.kind === 'banded';
  const { parts } = colouring;
  const rows = parts.map((part, at) => ({ part, at }));
  const put = (at: number, part: Partial<(typeof parts)[number]>) =>
    onChange({ ...colouring, parts: parts.map((one, i) => (i === at ? { ...one, ...part } : one)) });
  const swap = (a: number, b: number) => onChange({ ...colouring, parts: swapped(parts, a, b) });
  const called = (at: number) =>
    banded ? say('pours.bandFromBottom', { at: at + 1 }) : say('pours.tintNumber', { at: at + 1 });
  return (
    <ol className="divide-base-300 divide-y">
      {(banded ? rows.reverse() : rows).map(({ part: { tint, share }, at }) => (
        <li
          key={at}
          className="grid grid-cols-[2.25rem_minmax(0,1fr)_4.5rem_1rem] items-center gap-2 py-1.5 sm:grid-cols-[2.25rem_minmax(0,1fr)_5rem_1rem_auto]"
        >
          <span className="chamfer h-9" style={{ background: colours[at] }} aria-hidden="true" />
          <span>
            <TintSelect
              label={say('pours.tintOf', { at: called(at) })}
              tints={tints}
              tint={tint}
              onTint={(next) => put(at, { tint: next })}
            />
            {layers[at] && (
              <span className="quiet flex flex-wrap items-baseline gap-x-2 text-xs">
                {say('pours.layerFromTo', {
                  volume: layers[at].volume,
                  from: at === 0 ? msg('pours.theBottom') : quantity(layers[at].from, 'mm'),
                  to: quantity(layers[at].to, 'mm'),
                })}
                <FigureWorking figure={layers[at].volume} label={say('pours.why')} />
              </span>
            )}
          </span>
          <NumberField
            label={say('pours.shareOfPart', { at: called(at) })}
            className="h-11 w-full px-2 font-semibold"
            value={share * 100}
            onChange={(typed) => put(at, { share: typed / 100 })}
          />
          <span aria-hidden="true">%</span>
          <span className="col-span-4 flex justify-end sm:col-span-1">
            {banded && (
              <>
                <IconButton
                  label={say('pours.moveUp', { at: called(at) })}
                  icon={ArrowUp}
                  disabled={at === parts.length - 1}
                  onClick={() => swap(at, at + 1)}
                />
                <IconButton
                  label={say('pours.moveDown', { at: called(at) })}
                  icon={ArrowDown}
                  disabled={at === 0}
                  onClick={() => swap(at, at - 1)}
                />
              </>
            )}
            {parts.length > 2 && (
              <IconButton
                label={say('pours.leavePartOut', { at: called(at) })}
                icon={X}
                onClick={() => onWithout(at)}
              />
            )}
          </span>
        </li>
      ))}
    </ol>
  );
}

function TintSelect({
  label,
  tints,
  tint,
  onTint,
}: {
  label: string;
  tints: readonly TintView[];
  tint: string;
  onTint: (tint: string) => void;
}) {
  return (
    <select
      className="select select-bordered h-11 w-full"
      aria-label={label}
      value={tint}
      onChange={({ target }) => onTint(target.value)}
    >
      {tints.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </select>
  );
}
