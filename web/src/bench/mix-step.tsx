import { Amounts } from '../ui/amounts';
import { fixed, identity, quantity, msg } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import { consistencies, consistency, type Grade } from '@dewpot/core/mixes';
import { Droplet } from 'lucide-react';
import { SpreadTest } from '../pours';
import { Button } from '../ui/button';
import { Choice } from '../ui/choice';
import { FigureWorking } from '../ui/figure-working';
import { useUnits } from '../ui/units';
import { WaterGlass } from '../ui/water-glass';
import type { BucketContext } from './step-context';
import { useSay } from '../ui/say';

const looks = [msg('bench.lookGrains'), msg('bench.lookShine'), msg('bench.lookScrape')];

/** Water in, splash by splash, up to the look that is wanted; or the powder held back where powder goes into water. */
export function MixStep({ bucketful, bucketKey, bucket, bench, timed, run, record }: BucketContext) {
  const say = useSay();
  const units = useUnits();
  const { water } = bucketful;
  const { plan, sheet } = defined(bench.parts[timed.step.part]);
  const inside = run.water.get(bucketKey) ?? 0;
  const add = (mass: number) => record({ kind: 'water', bucket: bucketKey, mass });
  const grade = run.grades.get(bucketKey);
  const wanted = consistency(plan.mix.grade);
  return (
    <div className="space-y-3">
      <div className="card-slab flex flex-wrap items-center gap-x-6 gap-y-3">
        <WaterGlass water={water} inside={inside} />
        <div className="min-w-56 flex-1 space-y-2">
          <p>
            <span className="numeral text-4xl">{units.say(inside, 'mL')}</span>{' '}
            {say('bench.insideOf', { tap: quantity(water.tap.value, 'mL') })}
          </p>
          {inside === 0 ? (
            <Button look="second" size="bench" className="w-full text-lg" onClick={() => add(Math.round(water.first))}>
              <Droplet aria-hidden="true" /> {say('bench.atOnce', { first: quantity(water.first, 'mL') })}
            </Button>
          ) : (
            <Button look="second" size="bench" className="w-full text-lg" onClick={() => add(Math.round(water.splash))}>
              <Droplet aria-hidden="true" /> {say('bench.aSplash', { splash: quantity(water.splash, 'mL') })}
            </Button>
          )}
          {water.powderHeld !== undefined && (
            <p>
              <Amounts of={msg('bench.siftPowder', { held: quantity(water.powderHeld, 'g') })} />
            </p>
          )}
          {inside > 0 && bucket.ratio.value > 0 && (
            <div className="quiet">
              {say('bench.ratioNow', { ratio: fixed(bucket.ratio.value, 2) })} <FigureWorking figure={bucket.ratio} />
            </div>
          )}
          {bucket.warnings.map((warning) => (
            <p key={identity(warning)} className="text-warning font-semibold">
              {say(warning)}
            </p>
          ))}
        </div>
      </div>
      <ul className="grid gap-2 sm:grid-cols-3">
        {looks.map((look) => (
          <li key={say(look)} className="bg-base-100 border-base-300 border p-2.5">
            {say(look)}
          </li>
        ))}
      </ul>
      <p>{say('bench.required', { name: wanted.name, looks: wanted.looks })}</p>
      <Choice<Grade>
        legend={say('bench.itCameTo')}
        value={grade ?? plan.mix.grade}
        options={consistencies.map(({ grade: value, name }) => ({ value, label: name }))}
        onChange={(value) => record({ kind: 'grade', bucket: bucketKey, grade: value })}
      />
      <SpreadTest onGrade={(value) => record({ kind: 'grade', bucket: bucketKey, grade: value })} />
      <details>
        <summary className="flex min-h-11 cursor-pointer items-center font-semibold">
          {say('bench.howMixedSteps')}
        </summary>
        <ol className="list-decimal space-y-0.5 pl-6">
          {sheet.method.map(({ text, why }) => (
            <li key={identity(text)}>
              {say(text)} {why && <span className="quiet text-sm">({say(why)})</span>}
            </li>
          ))}
        </ol>
      </details>
    </div>
  );
}
