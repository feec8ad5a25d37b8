import { identity } from '@dewpot/core/units';
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
  return (
    <>
      {turns.some(({ one }) => one.tint) && (
        <p className="quiet mb-2 text-sm">
          Pale before dark, as far as the layers let it be: less washing, cleaner colours.
        </p>
      )}
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
        {tint ? say.value(tint.name) : times > 1 ? `Buckets ${at + 1} to ${at + times}` : `Bucket ${at + 1}`}{' '}
        <span className="quiet font-sans text-base">
          {units.sayFigure(volume)}
          {times > 1 && `, ${times} times alike: the figures are for one`}
        </span>
      </h3>
      <FigureWorking figure={volume} label="Why so much?" />
      {wait && (
        <p>
          <strong>
            {wait.edge === 'crisp'
              ? `Wait ${sayWait(wait.from.value)} to ${sayWait(wait.to.value)} after the layer below`
              : `Within ${sayWait(wait.to.value)} of the layer below`}
          </strong>
          : {say(wait.test)}.{' '}
          <span className="quiet">
            From {sayWait(wait.coldJoint.value)} on it is a cold joint: scratch it, damp it, or brush on a bond coat.
          </span>
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
          Of these, strew in at the end:{' '}
          <strong>{late.map(({ name, mass }) => `${units.say(mass, 'g')} ${name.toLowerCase()}`).join(', ')}</strong>.
        </p>
      )}
      <p>
        Into{' '}
        {fillings
          .map(
            ({ name, copies, layer, each }) =>
              `${copies.length} × ${name}${layer ? `, layer ${layer}` : ''}: ${units.say(each, 'mL')} each`,
          )
          .join('; ')}
      </p>
    </li>
  );
}
