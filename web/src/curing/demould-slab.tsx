import { msg, type Message } from '@dewpot/core/units';
import { demouldRisks, type DemouldCame, type DemouldCare } from '@dewpot/core/curing';
import type { CastDetail, DemouldWaysInput } from '@dewpot/contract';
import { useChooseDemoulds } from '../api/casts';
import { Button } from '../ui/button';
import { Choice } from '../ui/choice';
import { FigureWorking } from '../ui/figure-working';
import { exactTime, whenOf } from '../ui/format-time';
import { Failure } from '../ui/states';
import { useUnits } from '../ui/units';
import { useSay } from '../ui/say';

const careWords: Record<DemouldCare, Message> = {
  cautious: msg('curing.cautious'),
  usual: msg('curing.usual'),
  bold: msg('curing.bold'),
};
const cameWords: Record<DemouldCame, Message> = {
  clean: msg('curing.clean'),
  'too-early': msg('curing.tooEarly'),
  otherwise: msg('curing.hurtOtherwise'),
};

/** The earliest safe demoulding of its mould with its mix: proposed, at what risk, from which record; with the caster's choice. */
export function DemouldSlab({ cast, now }: { cast: CastDetail; now: number }) {
  const say = useSay();
  const units = useUnits();
  const choose = useChooseDemoulds();
  const { demould, mouldId, snapshot, dues } = cast;
  const { handbook, learned, records, ways } = demould;
  const { mixId } = snapshot;
  if (!mixId) return null;
  const change = (more: Partial<DemouldWaysInput>) => choose.mutate({ mouldId, mixId, ways: { ...ways, ...more } });
  const proposed = dues.find(({ task }) => task === 'demould');
  const goesBy = ways.off || records.length === 0 ? handbook : learned.age.value;
  return (
    <section className="card-slab space-y-3" aria-label={say('curing.earliestDemould')}>
      <div>
        <h2 className="text-xl">{say('curing.earliestDemoulding')}</h2>
        <p className="quiet text-sm">
          {say('curing.mouldWithMix', { mouldName: snapshot.mouldName, mixName: snapshot.mixName })}
        </p>
      </div>
      <p>
        <span className="numeral text-3xl">{units.say(goesBy, 'h')}</span> {say('curing.at20')}
        {proposed && <>{say('curing.underForecast', { good: whenOf(proposed.good, now) })}</>}
      </p>
      <p className="text-sm">
        {ways.off
          ? say('curing.byHandbook')
          : `${say(learned.sentence)}${learned.wary ? ` ${say('curing.sinceBroke')}` : ''}`}
        {records.length === 0 && !ways.off && say('curing.handbookSays', { handbook: units.say(handbook, 'h') })}
      </p>
      <FigureWorking figure={learned.age} />
      {records.length > 0 && <DemouldRecordDrawn cast={cast} />}
      <Choice
        legend={say('curing.breakageRisk')}
        options={(Object.keys(demouldRisks) as DemouldCare[]).map((value) => ({
          value,
          label: careWords[value],
          hint: say('curing.inHundred', { demouldRisks: demouldRisks[value] * 100 }),
        }))}
        value={ways.care}
        onChange={(care) => change({ care })}
      />
      <div className="flex flex-wrap gap-2">
        {learned.wary && (
          <Button size="low" className="text-sm" onClick={() => change({ triedAgainAt: records.length })}>
            {say('curing.tryEarlier')}
          </Button>
        )}
        <Button size="low" className="text-sm" onClick={() => change({ off: !ways.off })}>
          {ways.off ? say('curing.learnDemouldings') : say('curing.useHandbook')}
        </Button>
        {records.length > 0 && (
          <Button size="low" className="text-sm" onClick={() => change({ since: now })}>
            {say('curing.forgetBegin')}
          </Button>
        )}
        {ways.since !== undefined && (
          <Button
            size="low"
            className="text-sm"
            onClick={() => {
              const { since: _, ...rest } = ways;
              choose.mutate({ mouldId, mixId, ways: rest });
            }}
          >
            {say('curing.countEarlier')}
          </Button>
        )}
      </div>
      <Failure error={choose.error} />
    </section>
  );
}

const WIDTH = 330;
const HEIGHT = 74;
const PAD = 14;

/** The record that it rests on: each demoulding by its age, clean above the line, too early crossed. */
function DemouldRecordDrawn({ cast: { demould } }: { cast: CastDetail }) {
  const say = useSay();
  const units = useUnits();
  const { records, handbook, learned } = demould;
  const ages = [...records.map(({ age }) => age), handbook, learned.age.value];
  const [low, high] = [Math.min(...ages) * 0.92, Math.max(...ages) * 1.05];
  const x = (age: number) => PAD + ((age - low) / (high - low)) * (WIDTH - 2 * PAD);
  const count = (came: DemouldCame) => records.filter((one) => one.came === came).length;
  const told = (['clean', 'too-early', 'otherwise'] as const)
    .filter((came) => count(came) > 0)
    .map((came) => say('curing.cameCount', { count: count(came), came: cameWords[came] }))
    .join(', ');
  return (
    <figure>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="w-full"
        role="img"
        aria-label={say('curing.itsRecord', { told })}
      >
        <line x1={PAD} x2={WIDTH - PAD} y1={46} y2={46} stroke="currentColor" opacity={0.4} />
        <line
          x1={x(handbook)}
          x2={x(handbook)}
          y1={10}
          y2={50}
          stroke="currentColor"
          strokeDasharray="3 3"
          opacity={0.7}
        />
        <line
          x1={x(learned.age.value)}
          x2={x(learned.age.value)}
          y1={6}
          y2={52}
          stroke="var(--color-primary)"
          strokeWidth={3}
        />
        {records.map(({ age, came, code, at }, i) => (
          <g key={`${code}${at}`} transform={`translate(${x(age)} ${18 + (i % 3) * 9})`}>
            <title>{`${code}, ${say(exactTime(at))}: ${units.say(age, 'h')}, ${say(cameWords[came])}`}</title>
            {came === 'too-early' ? (
              <path d="M-4-4l8 8M4-4l-8 8" stroke="var(--color-accent)" strokeWidth={2.5} />
            ) : (
              <circle
                r={4}
                fill={came === 'clean' ? 'var(--color-primary)' : 'none'}
                stroke="currentColor"
                strokeWidth={came === 'clean' ? 0 : 1.2}
              />
            )}
          </g>
        ))}
        <text x={PAD} y={66} fontSize={11} fill="currentColor">
          {units.say(low, 'h')}
        </text>
        <text x={WIDTH - PAD} y={66} fontSize={11} textAnchor="end" fill="currentColor">
          {units.say(high, 'h')}
        </text>
      </svg>
      <figcaption className="quiet text-xs">{say('curing.dotsClean', { told })}</figcaption>
    </figure>
  );
}
