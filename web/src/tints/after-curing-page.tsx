import { useState } from 'react';
import { identity } from '@dewpot/core/units';
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
      <TintHead title="Colouring after curing" />
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <Terrazzo />
        <section className="card-slab" aria-label="In the mould">
          <h2 className="text-2xl">In the mould</h2>
          <p className="quiet mb-2 text-sm">Chosen for each mould when a pour is planned.</p>
          <dl className="space-y-2">
            {(Object.keys(colouringKinds) as ColouringKind[]).map((kind) => (
              <div key={kind}>
                <dt className="font-semibold">{say(colouringKinds[kind].name)}</dt>
                <dd>{say(colouringKinds[kind].how)}</dd>
              </div>
            ))}
            <div>
              <dt className="font-semibold">Metallic flakes</dt>
              <dd>Want a thin mix to show: single cream. Or rub them on the cured face, where none is lost inside.</dd>
            </div>
          </dl>
        </section>
        {afterCure.map(({ key, name, gives, dryness, sealer, steps, caution }) => (
          <section key={key} className="card-slab" aria-label={say(name)}>
            <h2 className="text-2xl">{say(name)}</h2>
            <p className="quiet">{say(gives)}</p>
            <p className="mt-1">
              On a <strong>{dryness === 'dry' ? 'dry' : 'damp, cured'}</strong> piece, {say(sealer)}.
            </p>
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
    <section className="card-slab space-y-3" aria-label="Terrazzo">
      <h2 className="text-2xl">Terrazzo</h2>
      <div className="grid gap-4 sm:grid-cols-[12rem_1fr]">
        <ChipFace cover={cover} size={size} seed={5} />
        <div className="space-y-2">
          <p>
            <span className="numeral text-4xl">{(cover * 100).toFixed(0)} %</span> of the face is chips
          </p>
          <Slider
            label="Chips in the mix"
            value={share}
            min={0.04}
            max={0.4}
            step={0.01}
            say={(n) => `${(n * 100).toFixed(0)} % of its volume`}
            onChange={setShare}
          />
          <Slider label="Grain size" value={size} min={2} max={20} step={1} say={(n) => `${n} mm`} onChange={setSize} />
          <Slider
            label="Sanded off"
            value={depth}
            min={0}
            max={20}
            step={0.5}
            say={(n) => `${n} mm`}
            onChange={setDepth}
          />
        </div>
      </div>
      {depth < sandingDepth(size) && (
        <p className="text-warning">
          Few chips are open yet: {sandingDepth(size)} mm, half a chip, opens half of what they can cover.
        </p>
      )}
      {share > 0.3 && <p className="text-warning">Over 30 % of the volume weakens the piece and opens its faces.</p>}
      <Choice
        legend="The face is to be"
        value={face}
        options={[
          { value: 'matt', label: 'matt' },
          { value: 'smooth', label: 'smooth' },
          { value: 'shine', label: 'shining' },
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
      <p className="border-accent border-l-4 pl-3 text-sm">
        Sand wet: the dust is silica and harms the lungs. Keep the plug of the machine on an earth-leakage switch, and
        its slurry out of the drain.
      </p>
    </section>
  );
}
