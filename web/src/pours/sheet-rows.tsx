import { exactly, quantity } from '@dewpot/core/units';
import { sayScoops } from '@dewpot/core/materials';
import { SPOON } from '@dewpot/core/mixes';
import type { SheetDose, SheetLine, WaterPlan } from '@dewpot/core/pours';
import { FigureWorking } from '../ui/figure-working';
import { Measures } from '../ui/measure-tally';
import { useUnits } from '../ui/units';
import { useSay } from '../ui/say';

const row = 'grid grid-cols-[8rem_1fr] items-center gap-x-4 py-1.5 sm:grid-cols-[12rem_1fr]';
/** On a phone the scoops have the whole width beneath their name: several stand in a row. */
const scooped = 'items-center gap-x-4 py-1.5 sm:grid sm:grid-cols-[12rem_1fr]';

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
          {milliliters !== undefined && say('mixes.orMillilitres', { milliliters: quantity(milliliters, 'mL') })}
          {spoons !== undefined && say('pours.orSpoonsOf', { spoons: sayScoops(spoons), spoon: exactly(SPOON, 'mL') })}
        </span>
        {advice && <span className="text-warning block text-sm">{say(advice)}</span>}
        <FigureWorking figure={mass} label={say('pours.whySoMuch')} />
      </span>
    </li>
  );
}

/** The water from the tap, and how it goes in. */
function WaterRow({ water: { tap, first, splash, powderHeld } }: { water: WaterPlan }) {
  const say = useSay();
  const units = useUnits();
  return (
    <li className={row}>
      <span>
        <span className="block font-semibold">{say('pours.water')}</span>
        <FigureWorking figure={tap} label={say('pours.whySoMuch')} />
      </span>
      <span>
        <span className="numeral mr-3 text-3xl whitespace-nowrap">{units.say(tap.value, 'mL')}</span>
        <span className="quiet">
          {powderHeld === undefined
            ? say('pours.firstSplashes', { first: units.say(first, 'mL'), splash: units.say(splash, 'mL') })
            : say('pours.allAtOnce')}
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
  const say = useSay();
  const units = useUnits();
  return (
    <ul className="divide-base-300 divide-y">
      {lines.map((line) => (
        <li key={line.materialId} className={scooped}>
          <span className="max-sm:flex max-sm:flex-wrap max-sm:items-baseline max-sm:gap-x-3">
            <span className="font-semibold sm:block">{line.name}</span>
            <span className="quiet text-sm sm:block">{units.sayFigure(line.mass)}</span>
            <FigureWorking figure={line.mass} label={say('pours.whySoMuch')} />
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
