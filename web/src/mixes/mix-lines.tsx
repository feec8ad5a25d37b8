import type { MixInput, StoresView } from '@dewpot/contract';
import { ArrowDown, ArrowUp, X } from 'lucide-react';

type Line = MixInput['lines'][number];

/** The lines of a recipe, in the order in which they go into the bucket. */
export function MixLines({
  lines,
  by,
  stores,
  errors,
  onChange,
}: {
  lines: readonly Line[];
  by: 'volume' | 'mass';
  stores: StoresView;
  errors: Readonly<Record<string, string>>;
  onChange: (lines: Line[]) => void;
}) {
  const replace = (at: number, line: Partial<Line>) =>
    onChange(lines.map((one, i) => (i === at ? { ...one, ...line } : one)));
  const swap = (at: number, other: number) => {
    const moved = [...lines];
    [moved[at], moved[other]] = [moved[other]!, moved[at]!];
    onChange(moved);
  };
  const unused = stores.materials.filter(({ id }) => lines.every(({ materialId }) => materialId !== id));
  const name = (id: string) =>
    stores.materials.find((material) => material.id === id)?.name ?? 'a material that is gone';
  return (
    <div>
      <ol className="divide-base-300 divide-y">
        {lines.map((line, i) => {
          const wrong = errors[`lines.${i}.parts`];
          return (
            <li key={line.materialId} className="py-2">
              <div className="grid grid-cols-[5rem_1fr_auto] items-center gap-2">
                <input
                  type="number"
                  min="0"
                  step="any"
                  aria-label={`Parts of ${name(line.materialId)}`}
                  aria-invalid={wrong !== undefined}
                  className={`input input-bordered numeral h-12 w-full text-xl ${wrong ? 'input-error' : ''}`}
                  defaultValue={Number.isFinite(line.parts) ? line.parts : ''}
                  onChange={(event) => replace(i, { parts: event.target.valueAsNumber })}
                />
                <span>{name(line.materialId)}</span>
                <span className="flex">
                  <button
                    type="button"
                    className="btn btn-ghost h-11 w-9 p-0"
                    disabled={i === 0}
                    aria-label={`${name(line.materialId)} goes in earlier`}
                    onClick={() => swap(i, i - 1)}
                  >
                    <ArrowUp size={16} aria-hidden="true" />
                  </button>
                  <button
                    type="button"
                    className="btn btn-ghost h-11 w-9 p-0"
                    disabled={i === lines.length - 1}
                    aria-label={`${name(line.materialId)} goes in later`}
                    onClick={() => swap(i, i + 1)}
                  >
                    <ArrowDown size={16} aria-hidden="true" />
                  </button>
                  <button
                    type="button"
                    className="btn btn-ghost h-11 w-9 p-0"
                    aria-label={`Leave ${name(line.materialId)} out`}
                    onClick={() => onChange(lines.filter((_, at) => at !== i))}
                  >
                    <X size={16} aria-hidden="true" />
                  </button>
                </span>
              </div>
              {wrong && <p className="text-error text-sm">{wrong}</p>}
            </li>
          );
        })}
      </ol>
      {errors['lines'] && (
        <p role="alert" className="text-error py-1">
          {errors['lines']}
        </p>
      )}
      <select
        className="select select-bordered mt-2 h-12 w-full"
        aria-label="Add a material"
        value=""
        onChange={(event) => onChange([...lines, { materialId: event.target.value, parts: 1 }])}
      >
        <option value="" disabled>
          Add a material, in parts by {by}…
        </option>
        {unused.map(({ id, name: one }) => (
          <option key={id} value={id}>
            {one}
          </option>
        ))}
      </select>
    </div>
  );
}
