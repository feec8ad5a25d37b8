import { identity, listed, msg, quantity } from '@dewpot/core/units';
import type { alike } from '@dewpot/core/pours';
import { FigureWorking } from '../ui/figure-working';
import { useUnits } from '../ui/units';
import { SheetRows } from './sheet-rows';
import { useSay } from '../ui/say';

/** Hours as people say a wait. */
const sayWait = (hours: number) => (hours < 1.5 ? `${Math.round(hours * 60)} min` : `${Number(hours.toFixed(1))} h`);

type Alike = ReturnType<typeof alike>[number];

/** The buckets of a pour in their turns, pale before dark: what to wait and wash for, what to measure, what each fills. */
export function BucketTurns({ turns, tappable }: { turns: readonly Alike[]; tappable: boolean }) {
  const say = useSay();
  return (
    <>
      {turns.some(({ one }) => one.tint) && <p className="quiet mb-2 text-sm">{say('pours.paleFirst')}</p>}
      <ol className="space-y-4">
        {turns.map((turn, i) => (
          <TurnRow key={i} n={i + 1} turn={turn} tappable={tappable} />
        ))}
      </ol>
    </>
  );
}

function TurnRow({ n, turn, tappable }: { n: number; turn: Alike; tappable: boolean }) {
  const say = useSay();
  const units = useUnits();
  const { one, times } = turn;
  const { at, tint, volume, lines, doses, late, water, fillings, wash, wait, warnings } = one;
  return (
    <li className="border-base-300 border-l-8 pl-3" style={{ borderColor: tint?.colour }}>
      <h3 className="text-xl">
        <span className="quiet mr-2">{n}</span>
        {tint ? say.value(tint.name) : say('pours.bucketsAt', { times, at: at + 1, to: at + times })}{' '}
        <span className="quiet font-sans text-base">
          {units.sayFigure(volume)}
          {times > 1 && say('pours.timesAlike', { times })}
        </span>
      </h3>
      <FigureWorking figure={volume} label={say('pours.whySoMuch')} />
      {wait && (
        <p>
          <strong>
            {wait.edge === 'crisp'
              ? say('pours.waitAfter', { from: sayWait(wait.from.value), to: sayWait(wait.to.value) })
              : say('pours.withinLayer', { to: sayWait(wait.to.value) })}
          </strong>
          : {say(wait.test)}.{' '}
          <span className="quiet">{say('pours.coldJointFrom', { coldJoint: sayWait(wait.coldJoint.value) })}</span>
        </p>
      )}
      {wash && <p className="quiet">{say(wash)}</p>}
      {warnings.map((warning) => (
        <p key={identity(warning)} className="text-warning">
          {say(warning)}
        </p>
      ))}
      <SheetRows lines={lines} doses={doses} water={water} tappable={tappable} />
      {late.length > 0 && (
        <p>
          {say('pours.strewIn', {
            late: listed(late.map(({ name, mass }) => msg('pours.materialNamed', { mass: quantity(mass, 'g'), name }))),
          })}
        </p>
      )}
      <p>
        {say('pours.intoMoulds', {
          fillings: fillings
            .map(({ name, copies, layer, each }) =>
              say('pours.filling', {
                copies: copies.length,
                name,
                layer: `${layer ?? 0}`,
                each: quantity(each, 'mL'),
              }),
            )
            .join('; '),
        })}
      </p>
    </li>
  );
}
