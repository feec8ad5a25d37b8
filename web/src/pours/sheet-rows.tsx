import { sayScoops } from '@dewpot/core/materials';
import { SPOON } from '@dewpot/core/mixes';
import type { SheetDose, SheetLine } from '@dewpot/core/pours';
import { FigureWorking } from '../ui/figure-working';
import { MeasureFigures, MeasureTally } from '../ui/measure-tally';
import { useUnits } from '../ui/units';

/** A dose as the scale gives it, or a level spoon. */
function DoseRow({ dose }: { dose: SheetDose }) {
  const units = useUnits();
  const { mass, onScale, name, words, spoons, milliliters, advice } = dose;
  return (
    <li className="grid grid-cols-[6rem_1fr] gap-x-3 py-2 sm:grid-cols-[7rem_1fr]">
      <span className="numeral text-2xl whitespace-nowrap">{units.say(onScale, 'g')}</span>
      <span>
        <span className="font-semibold">{name}</span>{' '}
        <span className="quiet">
          {words}
          {milliliters !== undefined && `, or ${units.say(milliliters, 'mL')}`}
          {spoons !== undefined && `, or ${sayScoops(spoons)} level spoons of ${SPOON} mL`}
        </span>
        {advice && <span className="text-warning block text-sm">{advice}</span>}
        <FigureWorking figure={mass} label="Why so much?" />
      </span>
    </li>
  );
}

/** What goes into one bucket, as scoops to tap off and grams, in the order it goes in. */
export function SheetRows({
  lines,
  doses,
  tappable,
}: {
  lines: readonly SheetLine[];
  doses: readonly SheetDose[];
  tappable: boolean;
}) {
  const units = useUnits();
  return (
    <ul className="divide-base-300 divide-y">
      {lines.map((line) => (
        <li key={line.materialId} className="grid grid-cols-[6rem_1fr] gap-x-3 py-2 sm:grid-cols-[7rem_11rem_1fr]">
          <span>
            <MeasureFigures measures={line.measures} />
          </span>
          <span>
            <span className="block font-semibold">{line.name}</span>
            <span className="quiet block">{units.sayFigure(line.mass)}</span>
            <FigureWorking figure={line.mass} label="Why so much?" />
          </span>
          <span className="col-span-2 sm:col-span-1">
            <MeasureTally name={line.name} measures={line.measures} tappable={tappable} />
          </span>
        </li>
      ))}
      {doses.map((dose) => (
        <DoseRow key={dose.materialId} dose={dose} />
      ))}
    </ul>
  );
}
