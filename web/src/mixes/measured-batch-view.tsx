import { Amounts } from '../ui/amounts';
import { percentOf } from './mix-labels';
import { useCallback, useState } from 'react';
import { fixed, quantity, type Phrase, msg } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import { sayScoops } from '@dewpot/core/materials';
import type { MeasuringChoice, MeasuringWay, Vessels } from '@dewpot/core/measuring';
import { scaleMasses, usualOrder, weighDose, type BatchMasses } from '@dewpot/core/mixes';
import { waterPlan } from '@dewpot/core/pours';
import type { MixInput } from '@dewpot/contract';
import type { Remote } from 'comlink';
import { Choice } from '../ui/choice';
import { MeasureFigures, MeasureTally } from '../ui/measure-tally';
import { tellChoice, wayNames } from '../ui/measuring-words';
import { useUnits } from '../ui/units';
import { WaterGlass } from '../ui/water-glass';
import type { PlanWork } from '../workers/plan-work';
import { usePlanWork } from '../workers/use-plan-work';
import type { CalculatedMix } from './use-calculated-mix';
import { useSay } from '../ui/say';

/** By how much a measure is off, told from half a percent on. */
const off = (share: number): Phrase =>
  Math.abs(share) < 0.005
    ? ''
    : msg('mixes.offBy', { error: percentOf(Math.abs(share)), over: share > 0 ? 'yes' : 'no' });

/** A volume that is asked for may come to so much more, for the sake of the scoops; what a bag or a store sets, to so much less. */
const SPARE = 0.05;

interface BatchProps extends Pick<CalculatedMix, 'mix' | 'conditions'> {
  readonly draft: MixInput;
  readonly batch: BatchMasses;
  /** What its size goes by. */
  readonly by: Phrase | undefined;
  readonly vessels: Vessels;
}

/** A batch of the mix as it is measured out, in the way that is chosen or else proposed; its doses and its water. */
export function MeasuredBatchView({ draft, mix, conditions, batch, by, vessels }: BatchProps) {
  const say = useSay();
  const [wanted, setWanted] = useState<MeasuringWay>();
  const { binderClass } = draft;
  const job = useCallback(
    (work: PlanWork | Remote<PlanWork>) =>
      work.measure(
        by === undefined ? scaleMasses(batch, 1 + SPARE) : batch,
        { mix, conditions, vessels, moisture: {}, spare: SPARE },
        binderClass,
      ),
    [batch, by, mix, conditions, vessels, binderClass],
  );
  const told = usePlanWork(job);
  if (!told) return <p className="quiet">{say('paper.oneMoment')}</p>;
  if (!told.ways)
    return (
      <p role="alert" className="border-error border-l-4 pl-3">
        {told.issues.map(({ message, remedy }) => `${say(message)} ${say(remedy)}`).join(' ')}
      </p>
    );
  const { ways, proposed } = told;
  const chosen = ways.find(({ measured }) => measured.way === (wanted ?? proposed.way)) ?? defined(ways[0]);
  return (
    <div className="space-y-3">
      <Choice
        legend={say('mixes.measure')}
        value={chosen.measured.way}
        options={ways.map((one) => ({
          value: one.measured.way,
          label: wayNames[one.measured.way],
          hint: tellChoice(one),
        }))}
        onChange={setWanted}
      />
      {wanted === undefined && (
        <p className="quiet text-sm">{say('mixes.proposed', { reason: say(proposed.reason) })}</p>
      )}
      <p>
        <Amounts
          of={msg('mixes.ofFreshMix', { made: quantity(chosen.measured.made, 'mL'), by: by ?? 'none' })}
          look="numeral text-2xl"
        />
      </p>
      <WorkshopContext {...{ draft, mix, vessels, chosen }} />
    </div>
  );
}

function WorkshopContext({
  draft,
  mix,
  vessels,
  chosen,
}: Pick<BatchProps, 'draft' | 'mix' | 'vessels'> & { chosen: MeasuringChoice }) {
  const say = useSay();
  const units = useUnits();
  const { batch, lines, ratio } = chosen.measured;
  const water = waterPlan(mix, batch, { moisture: {}, order: draft.ways?.order ?? usualOrder(draft.binderClass) });
  return (
    <div className="grid items-start gap-4 md:grid-cols-[1fr_15rem]">
      <div>
        <ul className="divide-base-300 divide-y">
          {lines.map(({ material, measured, measures, ratioError }) => (
            <li key={material.id} className="grid grid-cols-[7rem_1fr_auto] items-center gap-3 py-1.5">
              <span>
                <MeasureFigures measures={measures} />
              </span>
              <span>
                {material.name} <span className="quiet text-sm">{units.say(measured, 'g')}</span>
                <span className="block">
                  <MeasureTally name={material.name} measures={measures} />
                </span>
              </span>
              <span className="text-warning text-sm">{say.value(off(ratioError))}</span>
            </li>
          ))}
          {batch.doses.map((portion) => {
            const weighed = weighDose(portion, vessels.scaleStep, batch);
            return (
              <li key={weighed.name} className="grid grid-cols-[7rem_1fr_auto] items-baseline gap-3 py-1.5">
                <span className="numeral text-xl whitespace-nowrap">{units.say(weighed.onScale, 'g')}</span>
                <span>
                  {weighed.name}{' '}
                  <span className="quiet text-sm">
                    {say(weighed.words)}
                    {weighed.milliliters !== undefined &&
                      say('mixes.orMillilitres', { milliliters: quantity(weighed.milliliters, 'mL') })}
                    {weighed.spoons !== undefined &&
                      say('mixes.orSpoons', {
                        spoons: sayScoops(weighed.spoons),
                        error: off(defined(weighed.spoonError)) || msg('mixes.even'),
                      })}
                  </span>
                  {weighed.advice && <span className="text-warning block text-sm">{say(weighed.advice)}</span>}
                </span>
                <span className="text-warning text-sm">{say.value(off(weighed.scaleError))}</span>
              </li>
            );
          })}
        </ul>
        {ratio > 0 && <p className="quiet mt-1 text-sm">{say('mixes.ratioMeasured', { ratio: fixed(ratio, 2) })}</p>}
      </div>
      <div>
        <WaterGlass water={water} />
        {water.powderHeld !== undefined && (
          <p className="quiet text-sm">{say('mixes.holdPowder', { powderHeld: units.say(water.powderHeld, 'g') })}</p>
        )}
      </div>
    </div>
  );
}
