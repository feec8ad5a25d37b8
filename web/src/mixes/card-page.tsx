import { identity } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import { calculateMix, consistency, methodOf, doseInWords, type Grade, type Mix } from '@dewpot/core/mixes';
import { Printer } from 'lucide-react';
import { Link, useParams } from 'react-router';
import { mixesQuery } from '../api/mixes';
import { Button, buttonClass } from '../ui/button';
import { Known } from '../ui/known';
import { Busy, Failure } from '../ui/states';
import { useUnits } from '../ui/units';
import { useNow } from '../ui/use-now';
import { keptMix } from './resolve';
import { ShareStrip } from './share-strip';
import { useMixSources } from './use-mix-sources';
import { useSay } from '../ui/say';

const partsOf = ({ lines, by }: Mix) =>
  lines.map(({ material, parts, by: own = by }) => ({
    name: material.name,
    parts: `${Number(parts.toPrecision(3))} by ${own}`,
  }));

/** A mix on one card to print and hang over the bench. */
export function CardPage() {
  const { id } = useParams();
  return (
    <Known list={mixesQuery} ids={[id]} what="the mix">
      <Card id={defined(id)} />
    </Known>
  );
}

function Card({ id }: { id: string }) {
  const say = useSay();
  const units = useUnits();
  const now = useNow();
  const { sources, error, isPending } = useMixSources();
  if (isPending) return <Busy what="the mix" />;
  if (!sources) return <Failure error={error} />;
  const view = sources.mixes.find((one) => one.id === id);
  if (!view) return null;
  const { mix, conditions } = keptMix(view, { ...sources, now });
  const figures = calculateMix(mix, conditions);
  return (
    <div className="mx-auto max-w-2xl p-4">
      <p className="no-print mb-3 flex gap-2">
        <Button look="main" onClick={() => window.print()}>
          <Printer size={18} aria-hidden="true" /> Print
        </Button>
        <Link to={`/mixes/${id}`} className={buttonClass()}>
          Back to the mix
        </Link>
      </p>
      <article className="card-slab space-y-4">
        <header className="flex items-start gap-4">
          <span className="chamfer h-16 w-12 shrink-0" style={{ background: view.colour }} />
          <div>
            <h1 className="text-3xl">{view.name}</h1>
            <p className="quiet">
              Version {view.revision}
              {view.suits && `. For ${view.suits}`}
              {view.unfit && `. Not for ${view.unfit}`}.
            </p>
          </div>
        </header>
        <ShareStrip shares={figures.shares} />
        <CardTable mix={mix} figures={figures} grade={view.grade} />
        <ol className="list-decimal space-y-1 pl-6">
          {methodOf(mix, view.binderClass, view.ways).map(({ text, caution }) => (
            <li key={identity(text)}>
              {say(text)} {caution && <em>{say(caution)}</em>}
            </li>
          ))}
        </ol>
        <p className="text-sm">
          {units.sayFigure(figures.dryDensity)} dry, w/c {figures.ratio.value.toFixed(2)}, for {figures.use}. Never a
          design strength. Let rinse water settle and harden; never down a drain.
        </p>
      </article>
    </div>
  );
}

/** What goes in, in its order: in parts, and for one litre. */
function CardTable({
  mix,
  figures: { perPart },
  grade,
}: {
  mix: Mix;
  figures: ReturnType<typeof calculateMix>;
  grade: Grade;
}) {
  const say = useSay();
  const units = useUnits();
  const litre = 1000 / perPart.volume;
  return (
    <table className="table">
      <thead>
        <tr>
          <th scope="col">In this order</th>
          <th scope="col" className="text-right">
            Parts
          </th>
          <th scope="col" className="text-right">
            For one litre
          </th>
        </tr>
      </thead>
      <tbody>
        {partsOf(mix).map(({ name, parts }, i) => (
          <tr key={name}>
            <td>{name}</td>
            <td className="text-right">{parts}</td>
            <td className="text-right">{units.say(defined(perPart.portions[i]).mass * litre, 'g')}</td>
          </tr>
        ))}
        {perPart.doses.map(({ dose, mass }) => (
          <tr key={dose.material.id}>
            <td>{dose.material.name}</td>
            <td className="text-right">{say(doseInWords(dose))}</td>
            <td className="text-right">{units.say(mass * litre, 'g')}</td>
          </tr>
        ))}
        <tr>
          <td>Water, to “{say(consistency(grade).name)}”</td>
          <td />
          <td className="text-right">{units.say((perPart.totalWater - perPart.liquidWater) * litre, 'mL')}</td>
        </tr>
      </tbody>
    </table>
  );
}
