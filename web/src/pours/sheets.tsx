import { defined } from '@dewpot/core/math';
import { pourCost, pourShopping } from '@dewpot/core/pours';
import { BigFigure } from '../ui/figure-working';
import type { CalculatedPlan } from './plan';
import { PlanFindings } from './plan-findings';
import type { MeasuringProps } from './pour-choices';
import { SheetView } from './sheet-view';
import { Shopping } from './shopping';
import { useSay } from '../ui/say';

/** The sheets of a plan, mix by mix, or what is wrong with it. */
export function Sheets({ input, sources, calculated, onChange }: MeasuringProps) {
  const say = useSay();
  if (!calculated) return <p className="quiet">{say('pours.chooseMix')}</p>;
  const { sheets, issues } = calculated;
  if (!sheets && issues.length === 0)
    return (
      <p role="status" className="quiet">
        {say('pours.working')}
      </p>
    );
  if (!sheets)
    return (
      <div role="alert" className="border-error border-l-4 pl-3">
        <ul>
          {issues.map(({ field, message, remedy }) => (
            <li key={field}>
              {say(message)} <span className="quiet">{say(remedy)}</span>
            </li>
          ))}
        </ul>
      </div>
    );
  return (
    <>
      <Shopping lines={pourShopping(sheets)} />
      {sheets.length > 1 && <WholeCost sheets={sheets} />}
      {sheets.map(({ mixId, mixName, sheet, placings }, i) => (
        <section key={mixId} className={i > 0 ? 'border-base-300 mt-6 border-t-4 pt-4' : ''} aria-label={mixName}>
          {sheets.length > 1 && <h2 className="mb-2 text-2xl">{mixName}</h2>}
          {calculated.judged?.[i] && (
            <PlanFindings {...{ input, sources, onChange }} part={defined(sheets[i])} judged={calculated.judged[i]} />
          )}
          <SheetView sheet={sheet} placings={placings} />
        </section>
      ))}
    </>
  );
}

/** What the materials of all mixes of a pour cost together. */
function WholeCost({ sheets }: { sheets: NonNullable<CalculatedPlan['sheets']> }) {
  const say = useSay();
  const cost = pourCost(sheets);
  if (!cost) return null;
  return (
    <div className="mb-3">
      <BigFigure label={say('pours.allMaterials', { sheets: sheets.length })} figure={cost} />
    </div>
  );
}
