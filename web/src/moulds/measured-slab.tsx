import { useState } from 'react';
import type { Figure, Message } from '@dewpot/core/units';
import { volumeByMass, type MeasuredVolume, type VolumeMeasuredBy } from '@dewpot/core/moulds';
import { X } from 'lucide-react';
import { Button } from '../ui/button';
import { Choice } from '../ui/choice';
import { QuantityField } from '../ui/quantity-field';
import { TextField } from '../ui/text-field';
import { useNow } from '../ui/use-now';
import { useUnits } from '../ui/units';
import { firstIssue } from '../ui/input-error-message';

const ways: readonly { readonly value: VolumeMeasuredBy; readonly label: string; readonly hint: string }[] = [
  { value: 'water', label: 'Water', hint: 'on the scale' },
  { value: 'sand', label: 'Dry sand', hint: 'and its bulk density' },
  { value: 'batch', label: 'A batch', hint: 'and its fresh density' },
];
const densities: Record<VolumeMeasuredBy, number> = { water: 1, sand: 1.5, batch: 2.15 };

function calculate(
  by: VolumeMeasuredBy,
  mass: number | undefined,
  density: number,
): { volume?: Figure; wrong?: Message | undefined } {
  if (mass === undefined) return {};
  try {
    return { volume: volumeByMass(by, mass, density) };
  } catch (error) {
    return { wrong: firstIssue(error) };
  }
}

/** A volume by what filled the mould: it counts before what is computed. */
export function MeasuredSlab({
  measured,
  onChange,
}: {
  measured: MeasuredVolume | undefined;
  onChange: (measured: MeasuredVolume | undefined) => void;
}) {
  const units = useUnits();
  const now = useNow();
  const [by, setBy] = useState<VolumeMeasuredBy>('water');
  const [mass, setMass] = useState<number>();
  const [density, setDensity] = useState(densities.water);
  const { volume, wrong } = calculate(by, mass, density);
  return (
    <section className="card-slab" aria-label="Measured volume">
      <h2 className="mb-1 text-xl">Fill it once and weigh</h2>
      {measured ? (
        <p className="flex items-center gap-2">
          <span className="flex-1">
            It took <strong>{units.say(measured.volume, 'mL')}</strong>, measured by {measured.by}. That counts before
            what its sizes say.
          </span>
          <Button look="plain" size="low" onClick={() => onChange(undefined)}>
            <X size={16} aria-hidden="true" /> Forget it
          </Button>
        </p>
      ) : (
        <div className="space-y-3">
          <Choice
            legend="Filled with"
            value={by}
            options={ways}
            onChange={(way) => {
              setBy(way);
              setDensity(densities[way]);
            }}
          />
          <div className="grid items-end gap-3 sm:grid-cols-3">
            <QuantityField
              label="Fill weight"
              name="mass"
              dimension="mass"
              value={mass}
              error={wrong}
              onChange={setMass}
            />
            {by !== 'water' && (
              <TextField
                key={by}
                label="Density, kg/L"
                type="number"
                step="any"
                defaultValue={density}
                onChange={(event) => setDensity(event.target.valueAsNumber)}
              />
            )}
            <Button disabled={!volume} onClick={() => volume && onChange({ by, volume: volume.value, at: now })}>
              {volume ? `Use ${units.sayFigure(volume)}` : 'Use it'}
            </Button>
          </div>
        </div>
      )}
    </section>
  );
}
