import {
  bulking,
  consistencies,
  InputError,
  skinOf,
  squeezeTest,
  type Grade,
  type PourPlan,
  type ScoopStep,
  type Skin,
} from '@dewpot/core';
import type { PourInput } from '@dewpot/contract';
import { Minus, Plus, X } from 'lucide-react';
import { Choice } from '../ui/choice';
import { Piece, pieceSize } from '../ui/piece';
import { QuantityField } from '../ui/quantity-field';
import { SelectField } from '../ui/select-field';
import { useUnits } from '../ui/units';
import { DryHandful } from './dry-handful';
import type { PlanSources } from './plan';

const releases = ['paste wax', 'plant oil', 'mineral oil', 'petroleum jelly', 'soap', 'silicone spray', 'film', 'none'];
/** Marks a scoop in the list that is heaped. */
const HEAPED = '+heaped';
const covers = ['film', 'bag', 'damp cloth', 'none'];

interface ChoicesProps {
  readonly input: PourInput;
  readonly sources: PlanSources;
  readonly onChange: (part: Partial<PourInput>) => void;
}

/** What a piece is drawn in before its mix is chosen. */
const NO_COLOUR = '#b3ada1';

/** How the pieces of a mould are coloured in a plan; undefined while its shares do not come to the whole. */
function skinFor(plan: PourPlan | undefined, mouldId: string): Skin | undefined {
  const item = plan?.items.find((one) => one.mouldId === mouldId);
  try {
    return item && skinOf(item);
  } catch (error) {
    if (error instanceof InputError) return undefined;
    throw error;
  }
}

/** The pieces of a pour as silhouettes with counts. */
export function PourItems({ input, sources, plan, onChange }: ChoicesProps & { readonly plan: PourPlan | undefined }) {
  const { moulds } = sources;
  const chosen = input.items.flatMap((item) =>
    moulds.filter(({ id }) => id === item.mouldId).map((mould) => ({ item, mould })),
  );
  const tallest = Math.max(
    1,
    ...chosen.map(({ mould: { shape } }) => {
      const { width, height } = pieceSize(shape, 1);
      return Math.max(height * 1.1, width * 0.7);
    }),
  );
  const setCount = (mouldId: string, count: number) =>
    onChange({
      items: input.items.map((item) =>
        item.mouldId === mouldId ? { ...item, count: Math.min(500, Math.max(1, count)) } : item,
      ),
    });
  return (
    <section className="card-slab no-print" aria-label="Which moulds">
      <ul className="flex flex-wrap gap-4">
        {chosen.map(({ item, mould }) => (
          <li key={mould.id} className="w-40">
            <svg viewBox="0 0 160 112" className="w-full" aria-hidden="true">
              <g transform="translate(80 104)">
                <Piece
                  shape={mould.shape}
                  colour={skinFor(plan, mould.id)?.parts[0]?.colour ?? plan?.colour ?? NO_COLOUR}
                  skin={skinFor(plan, mould.id)}
                  scale={98 / tallest}
                />
              </g>
            </svg>
            <p className="flex items-start justify-between gap-1 leading-tight">
              <span className="line-clamp-2 font-semibold" title={mould.name}>
                {mould.name}
              </span>
              {chosen.length > 1 && (
                <button
                  type="button"
                  className="btn btn-ghost h-9 w-9 min-h-9 p-0"
                  aria-label={`Leave ${mould.name} out`}
                  onClick={() => onChange({ items: input.items.filter(({ mouldId }) => mouldId !== mould.id) })}
                >
                  <X size={16} aria-hidden="true" />
                </button>
              )}
            </p>
            <div className="mt-1 flex items-center gap-1">
              <button
                type="button"
                className="btn btn-ghost bg-base-300/60 h-12 w-12 p-0"
                aria-label={`One ${mould.name} less`}
                onClick={() => setCount(mould.id, item.count - 1)}
              >
                <Minus aria-hidden="true" />
              </button>
              <input
                type="number"
                min={1}
                max={500}
                aria-label={`How many of ${mould.name}`}
                className="input input-bordered numeral h-12 w-14 text-center text-xl"
                value={item.count}
                onChange={(event) => setCount(mould.id, Math.round(event.target.valueAsNumber) || 1)}
              />
              <button
                type="button"
                className="btn btn-ghost bg-base-300/60 h-12 w-12 p-0"
                aria-label={`One ${mould.name} more`}
                onClick={() => setCount(mould.id, item.count + 1)}
              >
                <Plus aria-hidden="true" />
              </button>
            </div>
          </li>
        ))}
        <li className="self-end">
          <select
            className="select select-bordered h-12 w-44"
            aria-label="Add a mould"
            value=""
            onChange={(event) => onChange({ items: [...input.items, { mouldId: event.target.value, count: 1 }] })}
          >
            <option value="" disabled>
              Another mould…
            </option>
            {moulds
              .filter(({ id }) => input.items.every(({ mouldId }) => mouldId !== id))
              .map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
          </select>
        </li>
      </ul>
    </section>
  );
}

/** Mix, scoop, wetness, and the sand as it lies. */
export function PourChoices({ input, sources, onChange }: ChoicesProps) {
  const { system } = useUnits();
  const {
    mixes,
    palette: { stores },
  } = sources;
  const mix = mixes.find(({ id }) => id === input.mixId);
  const sands = stores.materials.filter(
    (material) => material.bulking !== 'none' && mix?.lines.some(({ materialId }) => materialId === material.id),
  );
  const word = (values: readonly string[]) => [
    { value: '', label: 'not said' },
    ...values.map((value) => ({ value, label: value })),
  ];
  return (
    <section className="card-slab no-print space-y-4" aria-label="How">
      <SelectField
        label="Mix"
        value={input.mixId}
        options={mixes.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(mixId) => onChange({ mixId, grade: mixes.find(({ id }) => id === mixId)!.grade, moisture: {} })}
      />
      <div className="grid grid-cols-[2fr_1fr] gap-3">
        <SelectField
          label="Scoop"
          value={`${input.scoopId}${input.heaped ? HEAPED : ''}`}
          options={stores.scoops.flatMap(({ id, name, volume, heaped }) => [
            { value: id, label: `${name}, ${volume} mL` },
            ...(heaped === undefined ? [] : [{ value: `${id}${HEAPED}`, label: `${name}, heaped ${heaped} mL` }]),
          ])}
          onChange={(chosen) => onChange({ scoopId: chosen.replace(HEAPED, ''), heaped: chosen.endsWith(HEAPED) })}
        />
        <SelectField<ScoopStep>
          label="To the"
          value={input.step}
          options={[
            { value: 0.25, label: 'quarter' },
            { value: 0.5, label: 'half' },
            { value: 1, label: 'whole' },
          ]}
          onChange={(step) => onChange({ step })}
        />
      </div>
      <SelectField<Grade>
        label="How wet"
        value={input.grade}
        options={consistencies.map(({ grade, name, looks }) => ({ value: grade, label: `${name}: ${looks}` }))}
        onChange={(grade) => onChange({ grade })}
      />
      {sands.map((sand) => (
        <div key={sand.id}>
          <Choice
            twoColumns
            legend={`Squeeze a handful of the ${sand.name.toLowerCase()}`}
            value={input.moisture[sand.id] ?? 0}
            options={squeezeTest.map(({ moisture, looks }) => ({
              value: moisture,
              label: looks,
              hint:
                moisture === 0
                  ? 'dry'
                  : `${moisture * 100} % water, × ${bulking(sand.bulking, moisture).toFixed(2)} room`,
            }))}
            onChange={(moisture) => onChange({ moisture: { ...input.moisture, [sand.id]: moisture } })}
          />
          <DryHandful
            name={sand.name.toLowerCase()}
            onMoisture={(moisture) => onChange({ moisture: { ...input.moisture, [sand.id]: moisture } })}
          />
        </div>
      ))}
      <div className="grid grid-cols-2 gap-3">
        <SelectField
          label="Spare"
          value={input.spare}
          options={[0, 0.03, 0.05, 0.1].map((value) => ({ value, label: `${value * 100} %` }))}
          onChange={(spare) => onChange({ spare })}
        />
        <QuantityField
          label="At the bench it is"
          name="temperature"
          dimension="temperature"
          system={system}
          value={input.temperature}
          onChange={(temperature) => temperature !== undefined && onChange({ temperature })}
        />
        <SelectField
          label="Release"
          value={input.release ?? ''}
          options={word(releases)}
          onChange={(release) => onChange({ release })}
        />
        <SelectField
          label="Cover"
          value={input.cover ?? ''}
          options={word(covers)}
          onChange={(cover) => onChange({ cover })}
        />
      </div>
      <label className="block text-sm font-semibold">
        Where it will stand
        <input
          className="input input-bordered mt-1 w-full"
          maxLength={60}
          value={input.place ?? ''}
          placeholder="the bench, the sill, the yard"
          onChange={(event) => onChange({ place: event.target.value })}
        />
      </label>
    </section>
  );
}
