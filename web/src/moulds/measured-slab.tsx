import { Amounts } from '../ui/amounts';
import { useState } from 'react';
import { type Figure, quantity, type Message, msg } from '@dewpot/core/units';
import { volumeByMass, type MeasuredVolume, type VolumeMeasuredBy } from '@dewpot/core/moulds';
import { X } from 'lucide-react';
import { Button } from '../ui/button';
import { Choice } from '../ui/choice';
import { QuantityField } from '../ui/quantity-field';
import { TextField } from '../ui/text-field';
import { useNow } from '../ui/use-now';
import { useUnits } from '../ui/units';
import { firstIssue } from '../ui/input-error-message';
import { useSay } from '../ui/say';

const ways: readonly { readonly value: VolumeMeasuredBy; readonly label: Message; readonly hint: Message }[] = [
  { value: 'water', label: msg('moulds.byWater'), hint: msg('moulds.byWaterHow') },
  { value: 'sand', label: msg('moulds.bySand'), hint: msg('moulds.bySandHow') },
  { value: 'batch', label: msg('moulds.byBatch'), hint: msg('moulds.byBatchHow') },
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
  const say = useSay();
  const units = useUnits();
  const now = useNow();
  const [by, setBy] = useState<VolumeMeasuredBy>('water');
  const [mass, setMass] = useState<number>();
  const [density, setDensity] = useState(densities.water);
  const { volume, wrong } = calculate(by, mass, density);
  return (
    <section className="card-slab" aria-label={say('moulds.measuredVolumeTitle')}>
      <h2 className="mb-1 text-xl">{say('moulds.fillOnce')}</h2>
      {measured ? (
        <p className="flex items-center gap-2">
          <span className="flex-1">
            <Amounts of={msg('moulds.itTook', { volume: quantity(measured.volume, 'mL'), by: measured.by })} />
          </span>
          <Button look="plain" size="low" onClick={() => onChange(undefined)}>
            <X size={16} aria-hidden="true" /> {say('moulds.forgetIt')}
          </Button>
        </p>
      ) : (
        <div className="space-y-3">
          <Choice
            legend={say('moulds.filledWith')}
            value={by}
            options={ways}
            onChange={(way) => {
              setBy(way);
              setDensity(densities[way]);
            }}
          />
          <div className="grid items-end gap-3 sm:grid-cols-3">
            <QuantityField
              label={say('moulds.fillWeight')}
              name="mass"
              dimension="mass"
              value={mass}
              error={wrong}
              onChange={setMass}
            />
            {by !== 'water' && (
              <TextField
                key={by}
                label={say('moulds.densityKgL')}
                type="number"
                step="any"
                defaultValue={density}
                onChange={(event) => setDensity(event.target.valueAsNumber)}
              />
            )}
            <Button disabled={!volume} onClick={() => volume && onChange({ by, volume: volume.value, at: now })}>
              {volume ? say('moulds.useVolume', { volume: units.sayFigure(volume) }) : say('moulds.useIt')}
            </Button>
          </div>
        </div>
      )}
    </section>
  );
}
