import { msg, type Message } from '@dewpot/core/units';
import { BRISTLE_TEST, type FinishTry } from '@dewpot/core/pours';
import { WindowBand } from '../ui/window-band';
import { Choice } from '../ui/choice';
import type { StepContext } from './step-context';
import { useSay } from '../ui/say';

const tries: Record<FinishTry, Message> = {
  early: msg('bench.tryEarly'),
  good: msg('bench.tryGood'),
  late: msg('bench.tryLate'),
};

/** A face in its window: the bristle test, and how it went, which teaches the next one. */
export function FaceStep({ timed, run, now, record }: StepContext) {
  const say = useSay();
  const { step, window } = timed;
  const tried = run.tries.filter((one) => one.step === step.key).at(-1)?.went;
  return (
    <div className="space-y-3">
      {window && (
        <WindowBand
          large
          now={now}
          what={step.moulds[0]?.name ?? say('bench.theFaceField')}
          window={{ early: window.from - (window.to - window.from) / 3, good: window.from, late: window.to }}
        />
      )}
      <ul className="list-disc pl-5">
        {step.moulds.map(({ key, name }) => (
          <li key={key}>{name}</li>
        ))}
      </ul>
      {step.kind !== 'smooth' && <p className="card-slab">{say(BRISTLE_TEST)}</p>}
      <Choice<FinishTry>
        legend={say('bench.howItWas')}
        value={tried}
        options={(Object.keys(tries) as FinishTry[]).map((value) => ({ value, label: tries[value] }))}
        onChange={(went) => record({ kind: 'tried', step: step.key, went })}
      />
      {tried === 'early' && <p>{say('bench.leaveTen')}</p>}
    </div>
  );
}
