import { bulking, squeezeTest, wettest } from '@dewpot/core/mixes';
import type { MaterialView } from '@dewpot/contract';
import { Choice } from '../ui/choice';
import { SelectField } from '../ui/select-field';
import { DryHandful } from './dry-handful';
import type { ChoicesProps } from './pour-choices';

/** How damp peat and coir come, share of their dry mass. */
const porousDamp = [
  { value: 0, label: 'dust dry' },
  { value: 0.45, label: 'dry to the touch, from an open bag' },
  { value: 0.8, label: 'as it comes from the bag' },
  { value: 1.2, label: 'wet: a squeeze gives drops' },
];

/** The moisture of what comes damp: sand by a squeeze in the fist, peat and coir by what they look like, each by drying a handful. */
export function DampMaterials({ input, sources, onChange }: ChoicesProps) {
  const { mixes, palette } = sources;
  const chosen = [input.mixId, ...input.items.map(({ mixId }) => mixId)];
  const lines = mixes.filter(({ id }) => chosen.includes(id)).flatMap((mix) => mix.lines);
  const used = palette.store.materials.filter(({ id }) => lines.some(({ materialId }) => materialId === id));
  return used
    .filter(({ bulking: swells, kind }) => swells !== 'none' || kind === 'organic')
    .map((material) => (
      <OneMaterial
        key={material.id}
        material={material}
        moisture={input.moisture[material.id] ?? 0}
        onMoisture={(moisture) => onChange({ moisture: { ...input.moisture, [material.id]: moisture } })}
      />
    ));
}

function OneMaterial({
  material,
  moisture,
  onMoisture,
}: {
  material: MaterialView;
  moisture: number;
  onMoisture: (moisture: number) => void;
}) {
  const name = material.name.toLowerCase();
  return (
    <div>
      {material.kind === 'organic' ? (
        <SelectField
          label={`How damp the ${name} is`}
          value={moisture}
          options={optionsWith(moisture)}
          onChange={onMoisture}
        />
      ) : (
        <Choice
          twoColumns
          legend={`Squeeze a handful of the ${name}`}
          value={moisture}
          options={squeezeTest.map(({ moisture: value, looks }) => ({
            value,
            label: looks,
            hint: value === 0 ? 'dry' : `${value * 100} % water, × ${bulking(material.bulking, value).toFixed(2)} room`,
          }))}
          onChange={onMoisture}
        />
      )}
      <DryHandful name={name} most={wettest(material)} onMoisture={onMoisture} />
    </div>
  );
}

const percent = (share: number) => `${Math.round(share * 100)} % water`;

/** The usual ones, and one that was found by drying a handful. */
const optionsWith = (moisture: number) => [
  ...porousDamp.map(({ value, label }) => ({ value, label: `${label}, ${percent(value)}` })),
  ...(porousDamp.some(({ value }) => value === moisture)
    ? []
    : [{ value: moisture, label: `${percent(moisture)}, as dried` }]),
];
