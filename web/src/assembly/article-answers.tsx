import { fixed, identity, quantity } from '@dewpot/core/units';
import { joinRemarks, type ArticleFigures, type Bond } from '@dewpot/core/assembly';
import { BigFigure } from '../ui/figure-working';
import { useUnits } from '../ui/units';
import type { ArticlePartRow } from './parts-list';
import { useSay } from '../ui/say';

/** What joining these parts implies: what holds them by mass, clamping, size, mass, tilt, and what to beware of. */
export function ArticleAnswers({
  figures,
  parts,
  bond,
}: {
  figures: ArticleFigures;
  parts: readonly ArticlePartRow[];
  bond: Bond;
}) {
  const say = useSay();
  const units = useUnits();
  const { bond: mass, clamp, cure, mass: whole, size, tips, remarks, people, joints } = figures;
  const states = parts.map(({ cast: { code, stage, dry } }) => ({
    code,
    stage,
    // Its strength is judged by the server, which knows its air.
    strength: 1,
    dry: dry.dryEnough,
  }));
  const told = [...remarks, ...joinRemarks(states, bond).map((one) => `${say(one.told)} ${say(one.remedy)}`)];
  return (
    <section className="card-slab space-y-4" aria-label={say('assembly.implies')}>
      <div className="grid grid-cols-2 gap-4 sm:grid-cols-3">
        <BigFigure label={say('assembly.forJoints')} figure={mass} />
        <BigFigure label={say('assembly.clampedFor')} figure={clamp} />
        <BigFigure label={say('assembly.fullLoadAfter')} figure={cure} />
        <BigFigure
          label={say('assembly.wholeWeighs')}
          figure={whole}
          note={people === 2 ? say('assembly.twoPeople') : say('assembly.onePerson')}
        />
        <div>
          <p className="quiet text-sm">{say('assembly.reallyMeasures')}</p>
          <p className="numeral text-2xl">
            {units.say(size.length.value, 'mm')} × {units.say(size.width.value, 'mm')}
          </p>
          <p className="quiet text-sm">{say('assembly.high', { height: units.say(size.height.value, 'mm') })}</p>
        </div>
        <div>
          <p className="quiet text-sm">{say('assembly.tipsAtField')}</p>
          <p className="numeral text-3xl">{say('assembly.tiltDegrees', { tilt: fixed(tips.value, 0) })}</p>
        </div>
      </div>
      <ul className="quiet text-sm">
        {joints.map(({ between, area, overhang }) => (
          <li key={between.join()}>
            {say('assembly.jointTold', {
              between: between.join(' – '),
              area: quantity(area, 'mm²'),
              over: overhang >= 1 ? quantity(overhang, 'mm') : 'none',
            })}
          </li>
        ))}
      </ul>
      {told.length > 0 && (
        <ul className="border-accent space-y-1 border-l-4 pl-3">
          {told.map((one) => (
            <li key={identity(one)}>{say.value(one)}</li>
          ))}
        </ul>
      )}
    </section>
  );
}
