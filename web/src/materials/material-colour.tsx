import type { Tinting } from '@dewpot/core/materials';
import { isPigment, SPOON, spoonMass } from '@dewpot/core/mixes';
import { LEVELLING, STRENGTH } from '@dewpot/core/tints';
import type { MaterialInput } from '@dewpot/contract';
import { TextField } from '../ui/text-field';
import { withChange, type Change } from '../ui/change';

/** What a colour is shown as while it is not known. */
const UNKNOWN = '#b3ada1';

/** A material's own colour, and of a pigment how it tints. */
export function MaterialColour({
  draft: { name, kind, bulk, additive = 'powder-pigment', colour, tinting = {} },
  onChange,
}: {
  draft: MaterialInput;
  onChange: (part: Partial<MaterialInput>) => void;
}) {
  const pigment = kind === 'additive' && isPigment({ additive });
  if (kind === 'sealer' || (kind === 'additive' && !pigment)) return null;
  const set = (part: Change<Tinting>) => onChange({ tinting: withChange(tinting, part) });
  const number = (label: string, value: number, put: (value: number | undefined) => void) => (
    <TextField
      label={label}
      type="number"
      step="any"
      min="0"
      defaultValue={value}
      onChange={({ target }) => put(Number.isFinite(target.valueAsNumber) ? target.valueAsNumber : undefined)}
    />
  );
  const tick = (label: string, checked: boolean, put: (checked: boolean) => void) => (
    <label className="flex min-h-11 items-center gap-3">
      <input type="checkbox" className="checkbox" checked={checked} onChange={({ target }) => put(target.checked)} />
      {label}
    </label>
  );
  return (
    <fieldset className="border-base-300 space-y-3 border-t pt-3">
      <legend className="pr-2 font-semibold">Its colour</legend>
      <label className="flex items-center gap-3">
        <input
          type="color"
          className="h-12 w-20 cursor-pointer"
          aria-label={`The colour of ${name || 'the material'}`}
          value={colour ?? UNKNOWN}
          onChange={({ target }) => onChange({ colour: target.value })}
        />
        <span className="quiet text-sm">
          {colour === undefined && 'Not known yet. '}
          {pigment ? 'The pigment by itself; a chip will mend it.' : 'Set and dry, by itself.'}
        </span>
      </label>
      {pigment && (
        <>
          <div className="grid gap-3 sm:grid-cols-2">
            {number('Tinting strength, until chips tell', tinting.strength ?? STRENGTH, (strength) =>
              set({ strength }),
            )}
            {number('Saturation dose, % of the binder', tinting.levelling ?? LEVELLING, (levelling) =>
              set({ levelling }),
            )}
          </div>
          {tick('It fades in cement, lime or the sun', tinting.fades ?? false, (fades) => set({ fades }))}
          {tick('Metallic flakes, which want a thin mix', tinting.metallic ?? false, (metallic) => set({ metallic }))}
          {Number.isFinite(bulk) && (
            <p className="quiet text-sm">
              A level spoon of {SPOON} mL holds {spoonMass(bulk).toFixed(1)} g of it.
            </p>
          )}
        </>
      )}
    </fieldset>
  );
}
