import { exactly, msg, quantity } from '@dewpot/core/units';
import type { Tinting } from '@dewpot/core/materials';
import { isPigment, SPOON, spoonMass } from '@dewpot/core/mixes';
import { LEVELLING, STRENGTH } from '@dewpot/core/tints';
import type { MaterialInput } from '@dewpot/contract';
import { CheckField } from '../ui/check-field';
import { TextField } from '../ui/text-field';
import { withChange, type Change } from '../ui/change';
import { useSay } from '../ui/say';

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
  const say = useSay();
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
  return (
    <fieldset className="border-base-300 space-y-3 border-t pt-3">
      <legend className="pr-2 font-semibold">{say('materials.itsColour')}</legend>
      <label className="flex items-center gap-3">
        <input
          type="color"
          className="h-12 w-20 cursor-pointer"
          aria-label={say('materials.colourOfMaterial', { name: name || msg('materials.theMaterial') })}
          value={colour ?? UNKNOWN}
          onChange={({ target }) => onChange({ colour: target.value })}
        />
        <span className="quiet text-sm">
          {colour === undefined && `${say('materials.colourUnknown')} `}
          {pigment ? say('materials.pigmentItself') : say('materials.setAndDry')}
        </span>
      </label>
      {pigment && (
        <>
          <div className="grid gap-3 sm:grid-cols-2">
            {number(say('materials.tintingStrength'), tinting.strength ?? STRENGTH, (strength) => set({ strength }))}
            {number(say('materials.saturationDose'), tinting.levelling ?? LEVELLING, (levelling) => set({ levelling }))}
          </div>
          <CheckField label={say('materials.fadesTick')} on={tinting.fades} onChange={(fades) => set({ fades })} />
          <CheckField
            label={say('materials.metallicTick')}
            on={tinting.metallic}
            onChange={(metallic) => set({ metallic })}
          />
          {Number.isFinite(bulk) && (
            <p className="quiet text-sm">
              {say('materials.spoonHolds', { spoon: exactly(SPOON, 'mL'), bulk: quantity(spoonMass(bulk), 'g', 1) })}
            </p>
          )}
        </>
      )}
    </fieldset>
  );
}
