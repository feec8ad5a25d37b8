import { identity } from '@dewpot/core/units';
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
    <section className="card-slab space-y-4" aria-label="What it implies">
      <div className="grid grid-cols-2 gap-4 sm:grid-cols-3">
        <BigFigure label="For the joints, by mass" figure={mass} />
        <BigFigure label="Clamped or propped for" figure={clamp} />
        <BigFigure label="Full load after" figure={cure} />
        <BigFigure label="The whole weighs" figure={whole} note={people === 2 ? 'two people' : 'one person'} />
        <div>
          <p className="quiet text-sm">Really measures</p>
          <p className="numeral text-2xl">
            {units.say(size.length.value, 'mm')} × {units.say(size.width.value, 'mm')}
          </p>
          <p className="quiet text-sm">{units.say(size.height.value, 'mm')} high</p>
        </div>
        <div>
          <p className="quiet text-sm">Tips over at a tilt of</p>
          <p className="numeral text-3xl">{tips.value.toFixed(0)}°</p>
        </div>
      </div>
      <ul className="quiet text-sm">
        {joints.map(({ between, area, overhang }) => (
          <li key={between.join()}>
            {between.join(' to ')}: {units.say(area, 'mm²')} of contact
            {overhang >= 1 && `, reaching ${units.say(overhang, 'mm')} over`}
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
