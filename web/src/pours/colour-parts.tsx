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
  const { kind, parts } = colouring;
  const rows = parts.map((part, at) => (
    <ColourPart
      key={at}
      {...{ part, at, tints, onWithout }}
      banded={kind === 'banded'}
      last={parts.length - 1}
      layer={layers[at]}
      colour={colours[at]}
      onPart={(next) =>
        onChange({ ...colouring, parts: parts.map((one, i) => (i === at ? { ...one, ...next } : one)) })
      }
      onSwap={(other) => onChange({ ...colouring, parts: swapped(parts, at, other) })}
    />
  ));
  return <ol className="divide-base-300 divide-y">{kind === 'banded' ? rows.reverse() : rows}</ol>;
}

type PartOfColouring = ColouringInput['parts'][number];

function ColourPart({
  part: { tint, share },
  at,
  last,
  banded,
  tints,
  layer,
  colour,
  onPart,
  onSwap,
  onWithout,
}: {
  part: PartOfColouring;
  at: number;
  last: number;
  banded: boolean;
  tints: readonly TintView[];
  layer: Layer | undefined;
  colour: string | undefined;
  onPart: (part: Partial<PartOfColouring>) => void;
  onSwap: (other: number) => void;
  onWithout: (at: number) => void;
}) {
  const say = useSay();
  const called = banded ? say('pours.bandFromBottom', { at: at + 1 }) : say('pours.tintNumber', { at: at + 1 });
  return (
    <li className="grid grid-cols-[2.25rem_minmax(0,1fr)_4.5rem_1rem] items-center gap-2 py-1.5 sm:grid-cols-[2.25rem_minmax(0,1fr)_5rem_1rem_auto]">
      <span className="chamfer h-9" style={{ background: colour }} aria-hidden="true" />
      <span>
        <TintSelect
          label={say('pours.tintOf', { at: called })}
          tints={tints}
          tint={tint}
          onTint={(next) => onPart({ tint: next })}
        />
        {layer && (
          <span className="quiet flex flex-wrap items-baseline gap-x-2 text-xs">
            {say('pours.layerFromTo', {
              volume: layer.volume,
              from: at === 0 ? msg('pours.theBottom') : quantity(layer.from, 'mm'),
              to: quantity(layer.to, 'mm'),
            })}
            <FigureWorking figure={layer.volume} label={say('pours.why')} />
          </span>
        )}
      </span>
      <NumberField
        label={say('pours.shareOfPart', { at: called })}
        className="h-11 w-full px-2 font-semibold"
        value={share * 100}
        onChange={(typed) => onPart({ share: typed / 100 })}
      />
      <span aria-hidden="true">%</span>
      <span className="col-span-4 flex justify-end sm:col-span-1">
        {banded && (
          <>
            <IconButton
              label={say('pours.moveUp', { at: called })}
              icon={ArrowUp}
              disabled={at === last}
              onClick={() => onSwap(at + 1)}
            />
            <IconButton
              label={say('pours.moveDown', { at: called })}
              icon={ArrowDown}
              disabled={at === 0}
              onClick={() => onSwap(at - 1)}
            />
          </>
        )}
        {last > 1 && (
          <IconButton label={say('pours.leavePartOut', { at: called })} icon={X} onClick={() => onWithout(at)} />
        )}
      </span>
    </li>
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
