import { useWords } from './mix-labels';
import { identity, exactly, fixed, neededDecimals, msg } from '@dewpot/core/units';
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
    parts: msg('mixes.partsBy', { parts: fixed(parts, neededDecimals(Number(parts.toPrecision(3)))), by: own }),
  }));

/** A mix on one card to print and hang over the bench. */
export function CardPage() {
  const say = useSay();
  const { id } = useParams();
  return (
    <Known list={mixesQuery} ids={[id]} what={say('mixes.theMix')}>
      <Card id={defined(id)} />
    </Known>
  );
}

function Card({ id }: { id: string }) {
  const say = useSay();
  const units = useUnits();
  const now = useNow();
  const { sources, error, isPending } = useMixSources();
  if (isPending) return <Busy what={say('mixes.theMix')} />;
  if (!sources) return <Failure error={error} />;
  const view = sources.mixes.find((one) => one.id === id);
  if (!view) return null;
  const { mix, conditions } = keptMix(view, { ...sources, now });
  const figures = calculateMix(mix, conditions);
  return (
    <div className="mx-auto max-w-2xl p-4">
      <p className="no-print mb-3 flex gap-2">
        <Button look="main" onClick={() => window.print()}>
          <Printer size={18} aria-hidden="true" /> {say('mixes.print')}
        </Button>
        <Link to={`/mixes/${id}`} className={buttonClass()}>
          {say('mixes.backToMix')}
        </Link>
      </p>
      <article className="card-slab space-y-4">
        <header className="flex items-start gap-4">
          <span className="chamfer h-16 w-12 shrink-0" style={{ background: view.colour }} />
          <div>
            <h1 className="text-3xl">{view.name}</h1>
            <p className="quiet">
              {say('mixes.cardVersion', {
                revision: view.revision,
                suits: view.suits || 'none',
                unfit: view.unfit || 'none',
              })}
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
          {say('mixes.cardTold', {
            dryDensity: units.sayFigure(figures.dryDensity),
            ratio: fixed(figures.ratio.value, 2),
            use: useWords[figures.use],
          })}
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
    <table className="table max-sm:[&_:is(td,th)]:px-2">
      <thead>
        <tr>
          <th scope="col">{say('mixes.inThisOrder')}</th>
          <th scope="col" className="text-right">
            {say('mixes.parts')}
          </th>
          <th scope="col" className="text-right">
            {say('mixes.forLitre', { litre: exactly(1000, 'mL') })}
          </th>
        </tr>
      </thead>
      <tbody>
        {partsOf(mix).map(({ name, parts }, i) => (
          <tr key={name}>
            <td>{name}</td>
            <td className="text-right">{say(parts)}</td>
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
          <td>{say('mixes.waterTo', { name: say(consistency(grade).name) })}</td>
          <td />
          <td className="text-right">{units.say((perPart.totalWater - perPart.liquidWater) * litre, 'mL')}</td>
        </tr>
      </tbody>
    </table>
  );
}
