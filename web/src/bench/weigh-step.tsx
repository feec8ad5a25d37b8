import { listed, msg, quantity } from '@dewpot/core/units';
import { useState, type ComponentProps } from 'react';
import { Check } from 'lucide-react';
import { MeasureFigures, MeasureTally } from '../ui/measure-tally';
import { useUnits } from '../ui/units';
import { ScalePanel } from './scale-panel';
import type { BucketContext } from './step-context';
import { useScale } from '../ui/use-scale';
import { useSay } from '../ui/say';

/** Material by material: scoops to tap off, grams beside them; the scale fills in what it weighed. */
export function WeighStep({ bucketful, bucketKey, run, record }: BucketContext) {
  const say = useSay();
  const weighed = run.weighed.get(bucketKey) ?? {};
  const rows = [
    ...bucketful.lines.map(({ materialId, name, mass, measures }) => ({
      materialId,
      name,
      mass: mass.value,
      measures,
    })),
    ...bucketful.doses.map(({ materialId, name, mass }) => ({ materialId, name, mass: mass.value, measures: [] })),
  ];
  const [chosen, setChosen] = useState<string>();
  const at = rows.find(({ materialId }) => materialId === chosen) ?? rows.find(({ materialId }) => weighed[materialId] === undefined); // prettier-ignore
  const scale = useScale(true);
  return (
    <div className="space-y-3">
      <ScalePanel
        scale={scale}
        wanted={at?.mass}
        what={at?.name ?? say('bench.allWeighed')}
        onTake={(mass) => {
          if (!at) return;
          record({ kind: 'weighed', bucket: bucketKey, material: at.materialId, mass });
          setChosen(undefined);
        }}
      />
      <ul className="space-y-2">
        {rows.map((row) => (
          <WeighRow
            key={row.materialId}
            row={row}
            own={weighed[row.materialId]}
            here={at?.materialId === row.materialId}
            onChoose={() => setChosen(row.materialId)}
          />
        ))}
      </ul>
      {bucketful.late.length > 0 && (
        <p>
          {say('bench.keepBack', {
            late: listed(
              bucketful.late.map(({ name, mass }) => msg('pours.materialNamed', { mass: quantity(mass, 'g'), name })),
            ),
          })}
        </p>
      )}
    </div>
  );
}

interface RowToWeigh {
  readonly materialId: string;
  readonly name: string;
  /** g */
  readonly mass: number;
  readonly measures: ComponentProps<typeof MeasureFigures>['measures'];
}

/** From this share off its mass on a weighing says so. */
const OFF = 0.03;

/** One material with what is wanted of it, and what the scale read. */
function WeighRow({
  row: { name, mass, measures },
  own,
  here,
  onChoose,
}: {
  row: RowToWeigh;
  /** What was weighed, g. */
  own: number | undefined;
  here: boolean;
  onChoose: () => void;
}) {
  const say = useSay();
  const units = useUnits();
  const off = own === undefined ? 0 : own / mass - 1;
  const edge = here ? 'border-secondary' : own === undefined ? 'border-base-300' : 'border-success';
  return (
    <li className={`bg-base-100 border-l-8 p-3 ${edge}`}>
      <button
        type="button"
        className="flex min-h-14 w-full items-baseline gap-3 text-left"
        aria-pressed={here}
        onClick={onChoose}
      >
        <span className="w-24 shrink-0">
          <MeasureFigures measures={measures} />
        </span>
        <span className="min-w-0 flex-1">
          <span className="block text-lg font-semibold">{name}</span>
          <span className="quiet block">{units.say(mass, 'g')}</span>
        </span>
        {own !== undefined && (
          <span className="text-right">
            <span className="text-success flex items-center gap-1 font-semibold">
              <Check size={20} aria-hidden="true" /> {units.say(own, 'g')}
            </span>
            {Math.abs(off) > OFF && (
              <span className="text-warning text-sm">
                {say('bench.offWeight', {
                  off: quantity(Math.abs(off * 100), '%', 0),
                  more: off > 0 ? 'yes' : 'no',
                })}
              </span>
            )}
          </span>
        )}
      </button>
      {own === undefined && <MeasureTally name={name} measures={measures} tappable />}
    </li>
  );
}
