import { useMemo, useState } from 'react';
import {
  consistencies,
  costPerLitre,
  GRAVELLED_DENSITY,
  InputError,
  reckonMix,
  type Exposure,
  type Grade,
  type MixFigures,
} from '@dewpot/core';
import type { MixInput, StoresView } from '@dewpot/contract';
import { Link, useNavigate } from 'react-router';
import { toast } from 'sonner';
import { v7 as uuid } from 'uuid';
import { useRemoveMix, useSaveMix } from '../api/work';
import { Choice } from '../ui/choice';
import { BigFigure } from '../ui/reckoning';
import { SelectField } from '../ui/select-field';
import { KeepBar, StaleChoice } from '../ui/keep-bar';
import { TextField } from '../ui/text-field';
import { useUnits } from '../ui/units';
import { MixColumn } from './mix-column';
import { MixLines } from './mix-lines';
import { resolveMix } from './resolve';

const exposures: readonly { value: Exposure; label: string }[] = [
  { value: 'indoors', label: 'Indoors' },
  { value: 'outdoors', label: 'Outdoors' },
  { value: 'frost', label: 'Out in frost' },
];

function reckon(mix: MixInput, stores: StoresView): { figures?: MixFigures; errors: Record<string, string> } {
  try {
    return { figures: reckonMix(resolveMix(mix, stores.materials), { dampDays: mix.dampDays }), errors: {} };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return {
      errors: Object.fromEntries(error.issues.map(({ field, message, remedy }) => [field, `${message} ${remedy}`])),
    };
  }
}

/** The recipe, what the fresh mix is made of, and what it implies, live. */
export function MixEditor({ id, first, stores }: { id?: string; first: MixInput; stores: StoresView }) {
  const navigate = useNavigate();
  const [key] = useState(() => id ?? uuid());
  const [mix, setMix] = useState(first);
  const [unnamed, setUnnamed] = useState(false);
  const save = useSaveMix();
  const remove = useRemoveMix();
  const { figures, errors } = useMemo(() => reckon(mix, stores), [mix, stores]);
  const set = (part: Partial<MixInput>) => setMix({ ...mix, ...part });
  const keep = (version = mix.version) => {
    if (!mix.name.trim()) return setUnnamed(true);
    save.mutate(
      { id: key, input: { ...mix, name: mix.name.trim(), version } },
      {
        onSuccess: (kept) => {
          setMix((now) => ({ ...now, version: kept.version }));
          toast.success(`${kept.name} is kept.`);
          if (!id) void navigate(`/mixes/${key}`, { replace: true });
        },
      },
    );
  };
  return (
    <div className="mx-auto grid max-w-7xl gap-4 p-4 lg:grid-cols-[minmax(0,1.1fr)_minmax(0,0.8fr)_minmax(0,1fr)]">
      <section className="card-slab space-y-4 self-start" aria-label="The recipe">
        <h1 className="sr-only">{mix.name || 'A new mix'}</h1>
        <div className="grid grid-cols-[1fr_auto] gap-3">
          <TextField
            label="Name"
            value={mix.name}
            maxLength={80}
            error={unnamed && !mix.name.trim() ? 'Give it a name, such as “Garden grey”.' : undefined}
            onChange={(event) => set({ name: event.target.value })}
          />
          <div>
            <label htmlFor="colour" className="mb-1 block text-sm font-semibold">
              Dries to
            </label>
            <input
              id="colour"
              type="color"
              className="h-10 w-16 cursor-pointer"
              value={mix.colour}
              onChange={(event) => set({ colour: event.target.value })}
            />
          </div>
        </div>
        <Choice
          legend="Parts are of"
          value={mix.by}
          options={[
            { value: 'volume', label: 'Volume, in scoops' },
            { value: 'mass', label: 'Mass, by the scale' },
          ]}
          onChange={(by) => set({ by })}
        />
        <MixLines lines={mix.lines} by={mix.by} stores={stores} errors={errors} onChange={(lines) => set({ lines })} />
        <SelectField<Grade>
          label="How wet"
          value={mix.grade}
          options={consistencies.map(({ grade, name, usedFor }) => ({
            value: grade,
            label: `${grade}: ${name} — ${usedFor}`,
          }))}
          onChange={(grade) => set({ grade })}
        />
        <Choice
          legend="The piece will live"
          value={mix.exposure}
          options={exposures}
          onChange={(exposure) => set({ exposure })}
        />
        <label className="flex min-h-12 items-center gap-3">
          <input
            type="checkbox"
            className="checkbox"
            checked={mix.packed}
            onChange={(event) => set({ packed: event.target.checked })}
          />
          Packed into the mould by hand, which leaves more air
        </label>
        <StaleChoice error={save.error ?? remove.error} onKeepMine={keep} />
        <KeepBar
          what="mix"
          save={save}
          disabled={!figures}
          onKeep={() => keep()}
          onThrowAway={
            id
              ? {
                  question: `Throw ${mix.name} away? Pours made with it keep their record.`,
                  act: () => remove.mutate(id, { onSuccess: () => void navigate('/mixes') }),
                }
              : undefined
          }
        >
          {id && (
            <Link to={`/pours/new?mix=${id}`} className="btn btn-ghost bg-base-300/60 h-14">
              Plan a pour
            </Link>
          )}
        </KeepBar>
      </section>
      <section className="card-slab self-start" aria-label="By volume">
        <h2 className="mb-2 text-xl">What fills a litre</h2>
        {figures ? (
          <MixColumn shares={figures.shares} />
        ) : (
          <p className="quiet">Mend the recipe and the column comes back.</p>
        )}
      </section>
      {figures && <Implied figures={figures} lots={stores.lots} />}
    </div>
  );
}

function Implied({ figures, lots }: { figures: MixFigures; lots: StoresView['lots'] }) {
  const units = useUnits();
  const cost = costPerLitre(figures.perPart, lots);
  const { ratio, yield: factor, freshDensity, dryDensity, strength, use, warnings } = figures;
  const saving = Math.round((1 - dryDensity.value / GRAVELLED_DENSITY) * 100);
  return (
    <section className="card-slab space-y-4 self-start" aria-label="What it implies">
      <BigFigure
        label="Strength at 28 days"
        figure={strength}
        note={`Good for ${use}, kept damp for its time. Never a design strength: steps, walls and seats go by local codes.`}
      />
      <div className="grid grid-cols-2 gap-4">
        <BigFigure label="Water to cement" figure={ratio} size="text-2xl" />
        <BigFigure label="Scoops make" figure={factor} size="text-2xl" note="of their own room" />
        <BigFigure label="Fresh" figure={freshDensity} size="text-2xl" />
        <BigFigure
          label="Dry"
          figure={dryDensity}
          size="text-2xl"
          note={
            saving > 2
              ? `${saving} % lighter than gravelled concrete (${units.say(GRAVELLED_DENSITY, 'kg/L')})`
              : 'about as heavy as gravelled concrete'
          }
        />
        {cost && <BigFigure label="A litre costs" figure={cost} size="text-2xl" note="by the lots in store" />}
      </div>
      {warnings.length > 0 && (
        <ul className="border-warning space-y-1 border-l-4 pl-3">
          {warnings.map((warning) => (
            <li key={warning}>{warning}</li>
          ))}
        </ul>
      )}
      <p className="border-accent border-l-4 pl-3 text-sm">
        Dust harms the lungs and wet mix burns the skin: respirator, gloves, goggles.
      </p>
    </section>
  );
}
