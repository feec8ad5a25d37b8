import { fixed, msg, quantity } from '@dewpot/core/units';
import { bulking, squeezeTest, wettest } from '@dewpot/core/mixes';
import type { MaterialView } from '@dewpot/contract';
import { Choice } from '../ui/choice';
import { SelectField } from '../ui/select-field';
import { DryHandful } from './dry-handful';
import type { ChoicesProps } from './pour-choices';
import { useSay } from '../ui/say';

/** How damp peat and coir come, share of their dry mass. */
const porousDamp = [
  { value: 0, label: msg('pours.dustDry') },
  { value: 0.45, label: msg('pours.dryToTouch') },
  { value: 0.8, label: msg('pours.asFromBag') },
  { value: 1.2, label: msg('pours.wetSqueeze') },
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
  const say = useSay();
  const name = say.inline(material.name);
  return (
    <div>
      {material.kind === 'organic' ? (
        <SelectField
          label={say('pours.howDamp', { name })}
          value={moisture}
          options={optionsWith(moisture)}
          onChange={onMoisture}
        />
      ) : (
        <Choice
          twoColumns
          legend={say('pours.squeeze', { name })}
          value={moisture}
          options={squeezeTest.map(({ moisture: value, looks }) => ({
            value,
            label: looks,
            hint:
              value === 0
                ? msg('pours.squeezeDry')
                : msg('pours.squeezeHint', {
                    share: share(value),
                    room: fixed(bulking(material.bulking, value), 2),
                  }),
          }))}
          onChange={onMoisture}
        />
      )}
      <DryHandful name={name} most={wettest(material)} onMoisture={onMoisture} />
    </div>
  );
}

const share = (moisture: number) => quantity(moisture * 100, '%', 0);

/** The usual ones, and one that was found by drying a handful. */
const optionsWith = (moisture: number) => [
  ...porousDamp.map(({ value, label }) => ({ value, label: msg('pours.dampOption', { label, share: share(value) }) })),
  ...(porousDamp.some(({ value }) => value === moisture)
    ? []
    : [{ value: moisture, label: msg('pours.dampDried', { share: share(moisture) }) }]),
];
