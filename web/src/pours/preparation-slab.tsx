import { defined } from '@dewpot/core/math';
import { fullVolume, releaseCalled, releases } from '@dewpot/core/moulds';
import { coreHolds } from '@dewpot/core/bench';
import { bagFills, catchMoulds, cutList, feetFor, scaleDown } from '@dewpot/core/pours';
import type { PourInput } from '@dewpot/contract';
import { thingsToLayOut } from './preparation-checklist';
import { FigureWorking } from '../ui/figure-working';
import { useUnits } from '../ui/units';
import type { PlanSources, SheetPart } from './plan';
import { freeOf } from './full-moulds';
import { useSay } from '../ui/say';

/** A share of the amount that is not worth scaling for. */
const TRIFLE = 0.01;

/** Feet that are told of. */
const MOST_FEET = 2;

/** What to cut and what to weight before a pour, what takes its leftover, and what a whole bag would fill. */
export function BeforeSlab({
  sheets,
  sources,
  input,
}: {
  sheets: readonly SheetPart[];
  sources: PlanSources;
  input: PourInput;
}) {
  const { moulds, full } = sources;
  const poured = new Set(sheets.flatMap(({ plan }) => plan.items.map(({ mouldId }) => mouldId)));
  const idle = moulds
    .filter((mould) => !poured.has(mould.id) && (freeOf(mould, full, 1).free ?? 1) > 0)
    .map(({ id, name, shape }) => ({ id, name, volume: fullVolume(shape) }));
  return (
    <section className="card-slab no-print" aria-label="Preparation">
      <h2 className="mb-2 text-2xl">Preparation</h2>
      <div className="grid gap-x-8 gap-y-3 md:grid-cols-2">
        <Cuts sheets={sheets} />
        <Cores sheets={sheets} />
        <LayOut sheets={sheets} input={input} />
        {sheets.map((part) => (
          <LeftOver key={part.mixId} part={part} named={sheets.length > 1} idle={idle} />
        ))}
      </div>
    </section>
  );
}

function Cuts({ sheets }: { sheets: readonly SheetPart[] }) {
  const say = useSay();
  const units = useUnits();
  const cuts = sheets.flatMap(({ plan }) => cutList(plan.items));
  if (cuts.length === 0) return null;
  return (
    <div>
      <h3 className="font-sans font-semibold">To cut</h3>
      <ul>
        {cuts.map(({ what, mould, count, across, length, width }, i) => (
          <li key={i}>
            <strong>
              {count} × {say.value(what)}
            </strong>
            : {across !== undefined && `⌀ ${units.say(across, 'mm')} × `}
            {units.say(length, 'mm')}
            {width !== undefined && ` × ${units.say(width, 'mm')}`} <span className="quiet">for {mould}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** What takes the leftover of a mix, and what a whole bag of its binder would fill. `named`: by its name, beside others. */
function LeftOver({ part, named, idle }: { part: SheetPart; named: boolean; idle: Parameters<typeof catchMoulds>[1] }) {
  const units = useUnits();
  const { mixName, sheet } = part;
  const caught = catchMoulds(sheet.leftover.value, idle);
  const feet = feetFor(sheet.leftover.value, part.plan.items).slice(0, MOST_FEET);
  const less = scaleDown(part);
  const bag = bagFills(part);
  return (
    <div>
      <h3 className="font-sans font-semibold">
        {named ? mixName : 'What is left over'}: {units.say(Math.max(0, sheet.leftover.value), 'mL')}
      </h3>
      {caught.length > 0 ? (
        <p>
          Have {caught.map(({ name, volume }) => `${name} (${units.say(volume, 'mL')})`).join(' and ')} ready to catch
          it.
        </p>
      ) : (
        <p className="quiet">No free mould is small enough to catch it: make a chip of it.</p>
      )}
      {feet.map(({ name, across, height }, i) => (
        <div key={i}>
          Or a foot for {name}: ⌀ {units.say(across, 'mm')}, {units.sayFigure(height)} high, in a lid or a ring.{' '}
          <FigureWorking figure={height} />
        </div>
      ))}
      {less > TRIFLE && <p>Make everything {(less * 100).toFixed(0)} % less, by weight, and nothing is left.</p>}
      {bag && (
        <div>
          A whole bag of {bag.binder.toLowerCase()} ({units.say(bag.bag, 'g')}) makes {units.sayFigure(bag.volume)}:{' '}
          {bag.pieces.map(({ name, count }) => `${count} × ${name}`).join(', or ')}.{' '}
          <FigureWorking figure={bag.volume} />
        </div>
      )}
    </div>
  );
}

/** What holds the cores of each mould down, and which are not to be held. */
function Cores({ sheets }: { sheets: readonly SheetPart[] }) {
  const units = useUnits();
  const holds = sheets.flatMap(coreHolds).filter(({ held }) => held);
  if (holds.length === 0) return null;
  return (
    <div>
      <h3 className="font-sans font-semibold">To weight</h3>
      <ul>
        {holds.map(({ name, count, held, lifts }, i) => (
          <li key={i} className={defined(held).fits ? '' : 'border-warning border-l-4 pl-3'}>
            <strong>{units.sayFigure(defined(held).mass)}</strong> on the core of each {count > 1 && `of ${count} × `}
            {name}, as dry {defined(held).sandName.toLowerCase()} {units.sayFigure(defined(held).sand)}
            {!defined(held).fits &&
              (lifts === undefined
                ? '. No sand holds it: clamp it down with a bar across, or pour a stiffer mix by hand'
                : `. Sand alone does not hold it: clamp it with a bar across, or pour in ${lifts} lifts, each on a set one`)}
            . <FigureWorking figure={defined(held).mass} />
          </li>
        ))}
      </ul>
    </div>
  );
}

/** What to have in reach, and how long the release dries before the first bucket. */
function LayOut({ sheets, input }: { sheets: readonly SheetPart[]; input: PourInput }) {
  const say = useSay();
  const named = releaseCalled(input.release);
  const release = named && named !== 'none' ? releases[named] : undefined;
  const things = thingsToLayOut(
    sheets.map(({ plan }) => plan),
    input,
  );
  return (
    <div>
      <h3 className="font-sans font-semibold">To lay out</h3>
      <ul className="list-disc gap-x-6 pl-5 sm:columns-2">
        {things.map((thing) => (
          <li key={thing}>{thing}</li>
        ))}
      </ul>
      {release && (
        <p>
          {say(release.name)}
          {release.dries > 0 ? `: on ${release.dries} minutes before the first bucket, to dry` : ': needs no drying'}.
        </p>
      )}
    </div>
  );
}
