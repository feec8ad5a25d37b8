import { bagFills, catchMoulds, cutList, fullVolume, scaleDown } from '@dewpot/core';
import { Reckoning } from '../ui/reckoning';
import { useUnits } from '../ui/units';
import type { PlanSources, SheetPart } from './plan';
import { freeOf } from './full-moulds';

/** A share of the amount that is not worth scaling for. */
const TRIFLE = 0.01;

/** What to cut before a pour, what takes its leftover, and what a whole bag would fill. */
export function BeforeSlab({ sheets, sources }: { sheets: readonly SheetPart[]; sources: PlanSources }) {
  const units = useUnits();
  const { moulds, full } = sources;
  const poured = new Set(sheets.flatMap(({ plan }) => plan.items.map(({ mouldId }) => mouldId)));
  const cuts = sheets.flatMap(({ plan }) => cutList(plan.items));
  const idle = moulds
    .filter((mould) => !poured.has(mould.id) && (freeOf(mould, full, 1).free ?? 1) > 0)
    .map(({ id, name, shape }) => ({ id, name, volume: fullVolume(shape) }));
  return (
    <section className="card-slab no-print" aria-label="Waste nothing">
      <h2 className="mb-2 text-2xl">Cut, catch, and whole bags</h2>
      <div className="grid gap-x-8 gap-y-3 md:grid-cols-2">
        {cuts.length > 0 && (
          <div>
            <h3 className="font-sans font-semibold">To cut</h3>
            <ul>
              {cuts.map(({ what, mould, count, across, length, width }, i) => (
                <li key={i}>
                  <strong>
                    {count} × {what}
                  </strong>
                  : {across !== undefined && `⌀ ${units.say(across, 'mm')} × `}
                  {units.say(length, 'mm')}
                  {width !== undefined && ` × ${units.say(width, 'mm')}`} <span className="quiet">for {mould}</span>
                </li>
              ))}
            </ul>
          </div>
        )}
        {sheets.map((part) => {
          const { mixId, mixName, sheet } = part;
          const caught = catchMoulds(sheet.leftover.value, idle);
          const less = scaleDown(part);
          const bag = bagFills(part);
          return (
            <div key={mixId}>
              <h3 className="font-sans font-semibold">
                {sheets.length > 1 ? mixName : 'What is left over'}:{' '}
                {units.say(Math.max(0, sheet.leftover.value), 'mL')}
              </h3>
              {caught.length > 0 ? (
                <p>
                  Have {caught.map(({ name, volume }) => `${name} (${units.say(volume, 'mL')})`).join(' and ')} ready to
                  catch it.
                </p>
              ) : (
                <p className="quiet">No free mould is small enough to catch it: a foot for a cast, or a chip of it.</p>
              )}
              {less > TRIFLE && (
                <p>Make everything {(less * 100).toFixed(0)} % less, by weight, and nothing is left.</p>
              )}
              {bag && (
                <p>
                  A whole bag of {bag.binder.toLowerCase()} ({units.say(bag.bag, 'g')}) makes{' '}
                  {units.sayFigure(bag.volume)}:{' '}
                  {bag.pieces.map(({ name, count }) => `${count} × ${name}`).join(', or ')}.{' '}
                  <Reckoning figure={bag.volume} />
                </p>
              )}
            </div>
          );
        })}
      </div>
    </section>
  );
}
