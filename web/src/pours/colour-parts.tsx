import type { Layer } from '@dewpot/core/pours';
import type { ColouringInput, TintView } from '@dewpot/contract';
import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { IconButton } from '../ui/icon-button';
import { NumberField } from '../ui/number-field';
import { FigureWorking } from '../ui/figure-working';
import { useUnits } from '../ui/units';
import { swapped } from '../ui/swapped';

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
  const units = useUnits();
  const banded = colouring.kind === 'banded';
  const { parts } = colouring;
  const rows = parts.map((part, at) => ({ part, at }));
  const put = (at: number, part: Partial<(typeof parts)[number]>) =>
    onChange({ ...colouring, parts: parts.map((one, i) => (i === at ? { ...one, ...part } : one)) });
  const swap = (a: number, b: number) => onChange({ ...colouring, parts: swapped(parts, a, b) });
  const called = (at: number) => (banded ? `band ${at + 1} from the bottom` : `tint ${at + 1}`);
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
              label={`Tint of ${called(at)}`}
              tints={tints}
              tint={tint}
              onTint={(next) => put(at, { tint: next })}
            />
            {layers[at] && (
              <span className="quiet flex flex-wrap items-baseline gap-x-2 text-xs">
                {units.say(layers[at].volume.value, 'mL')}, {at === 0 ? 'the bottom' : units.say(layers[at].from, 'mm')}{' '}
                to {units.say(layers[at].to, 'mm')}
                <FigureWorking figure={layers[at].volume} label="Why?" />
              </span>
            )}
          </span>
          <NumberField
            label={`Share of ${called(at)}, per cent`}
            className="h-11 w-full px-2 font-semibold"
            value={share * 100}
            onChange={(typed) => put(at, { share: typed / 100 })}
          />
          <span aria-hidden="true">%</span>
          <span className="col-span-4 flex justify-end sm:col-span-1">
            {banded && (
              <>
                <IconButton
                  label={`Move ${called(at)} up`}
                  icon={ArrowUp}
                  disabled={at === parts.length - 1}
                  onClick={() => swap(at, at + 1)}
                />
                <IconButton
                  label={`Move ${called(at)} down`}
                  icon={ArrowDown}
                  disabled={at === 0}
                  onClick={() => swap(at, at - 1)}
                />
              </>
            )}
            {parts.length > 2 && (
              <IconButton label={`Leave ${called(at)} out`} icon={X} onClick={() => onWithout(at)} />
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
