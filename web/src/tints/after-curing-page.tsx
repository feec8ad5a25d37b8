import { Amounts } from '../ui/amounts';
import { useState } from 'react';
import { identity, exactly, neededDecimals, quantity, msg } from '@dewpot/core/units';
import { afterCure, colouringKinds, faceCover, gritsFor, sandingDepth, type ColouringKind } from '@dewpot/core/tints';
import { Choice } from '../ui/choice';
import { ChipFace } from './chip-face';
import { TintHead, TintRoom } from './tint-nav';
import { useSay } from '../ui/say';

/** Terrazzo, and the ways to colour a piece after its cure. */
export function WaysPage() {
  const say = useSay();
  return (
    <TintRoom>
      <TintHead title={say('tints.colouringAfter')} />
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <Terrazzo />
        <section className="card-slab" aria-label={say('tints.inTheMould')}>
          <h2 className="text-2xl">{say('tints.inTheMould')}</h2>
          <p className="quiet mb-2 text-sm">{say('tints.chosenPerMould')}</p>
          <dl className="space-y-2">
            {(Object.keys(colouringKinds) as ColouringKind[]).map((kind) => (
              <div key={kind}>
                <dt className="font-semibold">{say(colouringKinds[kind].name)}</dt>
                <dd>{say(colouringKinds[kind].how)}</dd>
              </div>
            ))}
            <div>
              <dt className="font-semibold">{say('tints.flakes')}</dt>
              <dd>{say('tints.flakesHow')}</dd>
            </div>
          </dl>
        </section>
        {afterCure.map(({ key, name, gives, dryness, sealer, steps, caution }) => (
          <section key={key} className="card-slab" aria-label={say(name)}>
            <h2 className="text-2xl">{say(name)}</h2>
            <p className="quiet">{say(gives)}</p>
            <p className="mt-1">{say('tints.onPiece', { dry: dryness === 'dry' ? 'yes' : 'no', sealer })}</p>
            <ol className="mt-2 list-decimal space-y-0.5 pl-6">
              {steps.map((step) => (
                <li key={identity(step)}>{say(step)}</li>
              ))}
            </ol>
            <p className="border-accent mt-2 border-l-4 pl-3 text-sm">{say(caution)}</p>
          </section>
        ))}
      </div>
    </TintRoom>
  );
}

function Slider({
  label,
  value,
  min,
  max,
  step,
  say,
  onChange,
}: {
  label: string;
  value: number;
  min: number;
  max: number;
  step: number;
  say: (value: number) => string;
  onChange: (value: number) => void;
}) {
  return (
    <label className="block text-sm">
      <span className="flex justify-between font-semibold">
        {label} <span>{say(value)}</span>
      </span>
      <input
        type="range"
        className="dose-slider"
        {...{ min, max, step, value }}
        onChange={(event) => onChange(event.target.valueAsNumber)}
      />
    </label>
  );
}

/** Chips in the face: how much of it they cover by share, size and depth of sanding. */
function Terrazzo() {
  const say = useSay();
  const [share, setShare] = useState(0.2);
  const [size, setSize] = useState(8);
  const [depth, setDepth] = useState(sandingDepth(8));
  const [face, setFace] = useState<'matt' | 'smooth' | 'shine'>('smooth');
  const cover = faceCover(share, size, depth);
  return (
    <section className="card-slab space-y-3" aria-label={say('tints.terrazzo')}>
      <h2 className="text-2xl">{say('tints.terrazzo')}</h2>
      <div className="grid gap-4 sm:grid-cols-[12rem_1fr]">
        <ChipFace cover={cover} size={size} seed={5} />
        <div className="space-y-2">
          <p>
            <Amounts of={msg('tints.faceIsChips', { cover: quantity(cover * 100, '%', 0) })} look="numeral text-4xl" />
          </p>
          <Slider
            label={say('tints.chipsInMix')}
            value={share}
            min={0.04}
            max={0.4}
            step={0.01}
            say={(n) => say('tints.ofItsVolume', { n: quantity(n * 100, '%', 0) })}
            onChange={setShare}
          />
          <Slider
            label={say('tints.grainSize')}
            value={size}
            min={2}
            max={20}
            step={1}
            say={(n) => say.quantity(n, 'mm', neededDecimals(n))}
            onChange={setSize}
          />
          <Slider
            label={say('tints.sandedOff')}
            value={depth}
            min={0}
            max={20}
            step={0.5}
            say={(n) => say.quantity(n, 'mm', neededDecimals(n))}
            onChange={setDepth}
          />
        </div>
      </div>
      {depth < sandingDepth(size) && (
        <p className="text-warning">{say('tints.fewOpen', { size: exactly(sandingDepth(size), 'mm') })}</p>
      )}
      {share > 0.3 && <p className="text-warning">{say('tints.over30', { limit: quantity(30, '%', 0) })}</p>}
      <Choice
        legend={say('tints.faceToBe')}
        value={face}
        options={[
          { value: 'matt', label: say('tints.matt') },
          { value: 'smooth', label: say('tints.smoothFace') },
          { value: 'shine', label: say('tints.shining') },
        ]}
        onChange={setFace}
      />
      <ol className="space-y-0.5">
        {gritsFor(face).map(({ grit, does }) => (
          <li key={grit}>
            <strong>{grit}</strong> {say(does)}
          </li>
        ))}
      </ol>
      <p className="border-accent border-l-4 pl-3 text-sm">{say('tints.sandWet')}</p>
    </section>
  );
}
