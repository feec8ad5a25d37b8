import { useMemo, useState } from 'react';
import { defined } from '@dewpot/core/math';
import { identity, msg, type Figure, type Message } from '@dewpot/core/units';
import { calculateMould } from '@dewpot/core/moulds';
import { filledMass, fittings, fittingsInOrder, plantedMass, type Fitting } from '@dewpot/core/care';
import { massKnown } from '@dewpot/core/casts';
import type { CastView } from '@dewpot/contract';
import { Choice } from '../ui/choice';
import { QuantityField } from '../ui/quantity-field';
import { BigFigure } from '../ui/figure-working';
import type { ActionProps } from '../ui/casts/action-props';
import { DoneButton } from '../ui/casts/done-button';
import { useSay } from '../ui/say';

/** A jar's fill line below its rim until the caster says, mm. */
const FILL_GAP = 15;

/** What a piece holds: soil for planting, water and wax to its fill line; nothing for a solid one. */
function useHeld({ snapshot, expected, life }: CastView, fillGap: number) {
  return useMemo(() => {
    const { shape, piece } = snapshot;
    const dry = massKnown(life, expected);
    const { planting, jar } = calculateMould(shape, { flexibility: 'rigid', piece, fillGap });
    const figures: (readonly [Message, Figure])[] = [
      ...(planting
        ? ([
            [msg('assembly.plantingVolume'), planting],
            [msg('assembly.plantedWeighs'), plantedMass(dry, planting.value)],
          ] as const)
        : []),
      ...(jar
        ? ([
            [msg('assembly.toFillLine'), jar.held],
            [msg('assembly.waxForIt'), jar.wax],
            [msg('assembly.fullOfWater'), filledMass(dry, jar.held.value)],
          ] as const)
        : []),
    ];
    return figures;
  }, [snapshot, expected, life, fillGap]);
}

/** What goes with a piece before it leaves: mesh, feet, a lamp kit with its checks, soil or wax. */
export function FittingsForm(props: ActionProps) {
  const say = useSay();
  const { casts } = props;
  const first = defined(casts[0]);
  const [fitting, setFitting] = useState<Fitting>(first.snapshot.piece === 'lamp' ? 'lamp kit' : 'mesh');
  const [ticked, setTicked] = useState<readonly string[]>([]);
  const [gap, setGap] = useState<number>(FILL_GAP);
  const held = useHeld(first, gap);
  const { name, how, checks, caution } = fittings[fitting];
  const shown = fitting === 'soil' ? held.slice(0, 2) : fitting === 'candle' ? held.slice(2) : [];
  const missing = checks.filter((check) => !ticked.includes(check.key));
  return (
    <div className="space-y-4">
      <Choice
        legend={say('sealing.withWhat')}
        options={fittingsInOrder.map((value) => ({ value, label: fittings[value].name }))}
        value={fitting}
        onChange={(value) => {
          setFitting(value);
          setTicked([]);
        }}
      />
      <p>{say(how)}</p>
      {caution && <p className="border-accent border-l-4 pl-3">{say(caution)}</p>}
      {fitting === 'candle' && held.length > 2 && (
        <QuantityField
          label={say('assembly.fillLineBelow')}
          name="fillGap"
          dimension="length"
          value={gap}
          onChange={(value) => setGap(value ?? FILL_GAP)}
        />
      )}
      {shown.length > 0 && (
        <div className="grid grid-cols-2 gap-4 sm:grid-cols-3">
          {shown.map(([label, figure]) => (
            <BigFigure key={identity(label)} label={say(label)} figure={figure} size="text-2xl" />
          ))}
        </div>
      )}
      {checks.length > 0 && (
        <fieldset className="space-y-1">
          <legend className="mb-1 text-sm font-semibold">{say('assembly.tickOff')}</legend>
          {checks.map((check) => (
            <label key={check.key} className="flex min-h-12 cursor-pointer items-center gap-3">
              <input
                type="checkbox"
                className="checkbox"
                checked={ticked.includes(check.key)}
                onChange={() =>
                  setTicked(
                    ticked.includes(check.key) ? ticked.filter((one) => one !== check.key) : [...ticked, check.key],
                  )
                }
              />
              <span>{say(check)}</span>
            </label>
          ))}
        </fieldset>
      )}
      <DoneButton
        {...props}
        disabled={missing.length > 0}
        said={say('assembly.fittingKept', { name: say(name) })}
        event={{ type: 'fitted', fitting }}
      >
        {missing.length > 0
          ? say('assembly.stillToTick', { missing: missing.length })
          : say('assembly.fittingDone', { name })}
      </DoneButton>
    </div>
  );
}
