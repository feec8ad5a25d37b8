import { sayScoops } from '@dewpot/core/materials';
import { SPOON } from '@dewpot/core/mixes';
import type { SheetDose, SheetLine, WaterPlan } from '@dewpot/core/pours';
import { FigureWorking } from '../ui/figure-working';
import { Measures } from '../ui/measure-tally';
import { useUnits } from '../ui/units';
import { useSay } from '../ui/say';

const row = 'grid grid-cols-[8rem_1fr] items-center gap-x-4 py-1.5 sm:grid-cols-[12rem_1fr]';

/** A dose as the scale gives it, or a level spoon. */
function DoseRow({ dose }: { dose: SheetDose }) {
  const say = useSay();
  const units = useUnits();
  const { mass, onScale, name, words, spoons, milliliters, advice } = dose;
  return (
    <li className={row}>
      <span className="font-semibold">{name}</span>
      <span>
        <span className="numeral mr-3 text-3xl whitespace-nowrap">{units.say(onScale, 'g')}</span>
        <span className="quiet">
          {say(words)}
          {milliliters !== undefined && `, or ${units.say(milliliters, 'mL')}`}
          {spoons !== undefined && `, or ${sayScoops(spoons)} level spoons of ${SPOON} mL`}
        </span>
        {advice && <span className="text-warning block text-sm">{say(advice)}</span>}
        <FigureWorking figure={mass} label="Why so much?" />
      </span>
    </li>
  );
}

/** The water from the tap, and how it goes in. */
function WaterRow({ water: { tap, first, splash, powderHeld } }: { water: WaterPlan }) {
  const units = useUnits();
  return (
    <li className={row}>
      <span>
        <span className="block font-semibold">Water</span>
        <FigureWorking figure={tap} label="Why so much?" />
      </span>
      <span>
        <span className="numeral mr-3 text-3xl whitespace-nowrap">{units.say(tap.value, 'mL')}</span>
        <span className="quiet">
          {powderHeld === undefined
            ? `${units.say(first, 'mL')} first, then splashes of ${units.say(splash, 'mL')}`
            : 'all of it at once'}
        </span>
      </span>
    </li>
  );
}

/** What goes into one bucket, as scoops to tap off and grams, in the order it goes in. */
export function SheetRows({
  lines,
  doses,
  water,
  tappable,
}: {
  lines: readonly SheetLine[];
  doses: readonly SheetDose[];
  water: WaterPlan;
  tappable: boolean;
}) {
  const units = useUnits();
  return (
    <ul className="divide-base-300 divide-y">
      {lines.map((line) => (
        <li key={line.materialId} className={row}>
          <span>
            <span className="block font-semibold">{line.name}</span>
            <span className="quiet block text-sm">{units.sayFigure(line.mass)}</span>
            <FigureWorking figure={line.mass} label="Why so much?" />
          </span>
          <Measures name={line.name} measures={line.measures} tappable={tappable} />
        </li>
      ))}
      {doses.map((dose) => (
        <DoseRow key={dose.materialId} dose={dose} />
      ))}
      <WaterRow water={water} />
    </ul>
  );
}
