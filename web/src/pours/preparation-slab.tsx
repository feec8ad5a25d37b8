import { Amounts } from '../ui/amounts';
import { anyOf, listed, quantity, msg } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import { fullVolume, releaseCalled, releases } from '@dewpot/core/moulds';
import { coreHolds } from '@dewpot/core/bench';
import { bagFills, catchMoulds, cutList, feetFor, scaleDown } from '@dewpot/core/pours';
import type { PourInput } from '@dewpot/contract';
import { thingsToLayOut } from './preparation-checklist';
import { useSession } from '../api/session';
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
  const say = useSay();
  const { moulds, full } = sources;
  const poured = new Set(sheets.flatMap(({ plan }) => plan.items.map(({ mouldId }) => mouldId)));
  const idle = moulds
    .filter((mould) => !poured.has(mould.id) && (freeOf(mould, full, 1).free ?? 1) > 0)
    .map(({ id, name, shape }) => ({ id, name, volume: fullVolume(shape) }));
  return (
    <section className="card-slab no-print" aria-label={say('pours.preparation')}>
      <h2 className="mb-2 text-2xl">{say('pours.preparation')}</h2>
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
  const cuts = sheets.flatMap(({ plan }) => cutList(plan.items));
  if (cuts.length === 0) return null;
  return (
    <div>
      <h3 className="font-sans font-semibold">{say('pours.toCut')}</h3>
      <ul>
        {cuts.map(({ what, mould, count, across, length, width }, i) => (
          <li key={i}>
            <strong>
              {count} × {say.value(what)}
            </strong>
            :{' '}
            {say('pours.cutSize', {
              across: across === undefined ? 'none' : quantity(across, 'mm'),
              length: quantity(length, 'mm'),
              width: width === undefined ? 'none' : quantity(width, 'mm'),
            })}{' '}
            <span className="quiet">{say('pours.forMould', { mould })}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** What takes the leftover of a mix, and what a whole bag of its binder would fill. `named`: by its name, beside others. */
function LeftOver({ part, named, idle }: { part: SheetPart; named: boolean; idle: Parameters<typeof catchMoulds>[1] }) {
  const say = useSay();
  const units = useUnits();
  const { mixName, sheet } = part;
  const caught = catchMoulds(sheet.leftover.value, idle);
  const feet = feetFor(sheet.leftover.value, part.plan.items).slice(0, MOST_FEET);
  const less = scaleDown(part);
  const bag = bagFills(part);
  return (
    <div>
      <h3 className="font-sans font-semibold">
        {named ? mixName : say('pours.whatLeftOver')}: {units.say(Math.max(0, sheet.leftover.value), 'mL')}
      </h3>
      {caught.length > 0 ? (
        <p>
          {say('pours.haveReady', {
            caught: listed(
              caught.map(({ name, volume }) => msg('pours.catchMould', { name, volume: quantity(volume, 'mL') })),
            ),
          })}
        </p>
      ) : (
        <p className="quiet">{say('pours.noFreeMould')}</p>
      )}
      {feet.map(({ name, across, height }, i) => (
        <div key={i}>
          {say('pours.orFoot', { name, across: quantity(across, 'mm'), height })} <FigureWorking figure={height} />
        </div>
      ))}
      {less > TRIFLE && <p>{say('pours.makeLess', { less: quantity(less * 100, '%', 0) })}</p>}
      {bag && (
        <div>
          {say('pours.wholeBagMakes', {
            binder: bag.binder,
            bag: quantity(bag.bag, 'g'),
            volume: bag.volume,
            pieces: anyOf(bag.pieces.map(({ name, count }) => msg('pours.itemCount', { count, name }))),
          })}{' '}
          <FigureWorking figure={bag.volume} />
        </div>
      )}
    </div>
  );
}

/** What holds the cores of each mould down, and which are not to be held. */
function Cores({ sheets }: { sheets: readonly SheetPart[] }) {
  const say = useSay();
  const holds = sheets.flatMap(coreHolds).filter(({ held }) => held);
  if (holds.length === 0) return null;
  return (
    <div>
      <h3 className="font-sans font-semibold">{say('pours.toWeight')}</h3>
      <ul>
        {holds.map(({ name, count, held, lifts }, i) => (
          <li key={i} className={defined(held).fits ? '' : 'border-warning border-l-4 pl-3'}>
            <Amounts
              of={msg('pours.ballastOn', {
                mass: defined(held).mass,
                count,
                name,
                sand: defined(held).sand,
                fits: defined(held).fits ? 'yes' : lifts === undefined ? 'clamp' : 'lifts',
                lifts: lifts ?? 0,
                sandName: defined(held).sandName,
              })}
            />{' '}
            <FigureWorking figure={defined(held).mass} />
          </li>
        ))}
      </ul>
    </div>
  );
}

/** What to have in reach, and how long the release dries before the first bucket. */
function LayOut({ sheets, input }: { sheets: readonly SheetPart[]; input: PourInput }) {
  const say = useSay();
  const { usual } = useSession().workshop;
  const named = releaseCalled(input.release);
  const release = named && named !== 'none' ? releases[named] : undefined;
  const things = thingsToLayOut(
    sheets.map(({ plan }) => plan),
    input,
    usual?.ways,
  );
  return (
    <div>
      <h3 className="font-sans font-semibold">{say('pours.toLayOut')}</h3>
      <ul className="list-disc gap-x-6 pl-5 sm:columns-2">
        {things.map((thing) => (
          <li key={JSON.stringify(thing)}>{say.value(thing)}</li>
        ))}
      </ul>
      {release && (
        <p>
          {release.dries > 0
            ? say('pours.releaseDries', { name: release.name, dries: quantity(release.dries, 'min', 0) })
            : say('pours.releaseNoDrying', { name: release.name })}
        </p>
      )}
    </div>
  );
}
