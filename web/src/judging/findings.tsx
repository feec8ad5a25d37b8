import { type Speaker } from '@dewpot/locales';
import { defined } from '@dewpot/core/math';
import { type FindingBasis, type Harm, type Remedy, identity, msg, quantity, type Message } from '@dewpot/core/units';
import type { FittingMix, PlanChange, PourFinding } from '@dewpot/core/judging';
import { Button } from '../ui/button';
import { AsideForm } from './aside-form';
import type { JudgedPlan } from '../workers/judge-plan';
import { useSay } from '../ui/say';

const harmWords: Record<Harm, Message> = {
  1: msg('judging.harmOne'),
  2: msg('judging.harmTwo'),
  3: msg('judging.harmThree'),
};
const marks: Record<Harm, string> = { 1: 'border-error', 2: 'border-warning', 3: 'border-base-300' };
const basisWords: Record<FindingBasis, Message> = {
  guide: msg('judging.basisGuide'),
  calculated: msg('judging.basisCalculated'),
  product: msg('judging.basisProduct'),
  forecast: msg('judging.basisForecast'),
  record: msg('judging.basisRecord'),
};

/** How a finding is put aside, and taken up again. */
export interface AsideWays {
  /** `lasting`: for this mould and mix, and not for this pour alone. */
  readonly put: (finding: PourFinding, reason: string, lasting: boolean) => void;
  readonly take: (finding: PourFinding) => void;
  /** Whether it can be put aside for one pour alone. */
  readonly once: boolean;
}

export interface FindingsProps {
  readonly judged: JudgedPlan;
  /** Makes the change that a remedy is; remedies are only told where it is left out. */
  readonly onChange?: (change: PlanChange, finding: PourFinding) => void;
  readonly onMix?: (mixId: string) => void;
  readonly aside?: AsideWays;
}

const keyOf = ({ key, item, text }: PourFinding) => `${key} ${item} ${identity(text)}`;
const isTap = ({ change }: Remedy<PlanChange>) => change !== undefined && !('mix' in change);

/** What speaks against moulds with their mix, the worst first, with what to do about it and what nobody could judge. */
export function Findings(props: FindingsProps) {
  const say = useSay();
  const { findings, unknown, fitting } = props.judged;
  const open = findings.filter(({ aside }) => aside === undefined);
  const put = findings.filter(({ aside }) => aside !== undefined);
  const [grave, small] = [open.filter(({ harm }) => harm < 3), open.filter(({ harm }) => harm === 3)];
  return (
    <div className="my-2 space-y-1">
      {grave.length > 0 && <FindingList {...props} findings={grave} label={say('judging.whatSpeaks')} />}
      {open.length > 0 && fitting.length > 0 && props.onMix && <Fitting fitting={fitting} onMix={props.onMix} />}
      {open.length === 0 && unknown.length === 0 && <p className="quiet">{say('judging.nothingSpeaks')}</p>}
      {(small.length > 0 || unknown.length > 0) && (
        <details open={grave.length === 0 && unknown.length === 0}>
          <summary className="min-h-11 cursor-pointer py-2">
            {restTold(open.length, small.length, unknown.length, say)}
          </summary>
          {small.length > 0 && <FindingList {...props} findings={small} label={say('judging.smallerThings')} />}
          {unknown.length > 0 && (
            <p className="quiet mt-1 text-sm">
              {say('judging.notJudged', { unknown: unknown.map((one) => say(one)).join('; ') })}
            </p>
          )}
        </details>
      )}
      {put.length > 0 && <PutAside {...props} put={put} />}
    </div>
  );
}

/** What stands behind the line, in words; that nothing speaks against it is said as far as it was judged. */
function restTold(all: number, small: number, unknown: number, say: Speaker): string {
  const unsaid = say('judging.unknownThings', { unknown });
  if (all === 0) return say('judging.nothingSpeaksBut', { unsaid });
  return [...(small > 0 ? [say('judging.smallThings', { small })] : []), ...(unknown > 0 ? [unsaid] : [])].join('; ');
}

function FindingList({
  findings,
  label,
  ...props
}: FindingsProps & { findings: readonly PourFinding[]; label: string }) {
  return (
    <ul className="space-y-1" aria-label={label}>
      {findings.map((finding) => (
        <OneFinding key={keyOf(finding)} {...props} finding={finding} />
      ))}
    </ul>
  );
}

/** A finding on one line, with the taps that end it; why, and what else to do, stands behind it. */
function OneFinding({ finding, onChange, aside }: FindingsProps & { finding: PourFinding }) {
  const say = useSay();
  const { harm, text, reason, basis, remedies } = finding;
  const taps = onChange ? remedies.filter(isTap) : [];
  const words = remedies.filter((remedy) => !taps.includes(remedy));
  return (
    <li className={`border-l-4 pl-3 ${marks[harm]}`}>
      <details>
        <summary className="cursor-pointer py-1">
          <span className="sr-only">{say(harmWords[harm])}: </span>
          {say(text)}
        </summary>
        <p>
          {say(reason)} <span className="quiet text-sm">{say(basisWords[basis])}</span>
        </p>
        {words.length > 0 && (
          <ul className="list-disc pl-6">
            {words.map((remedy) => (
              <li key={identity(remedy.text)}>{say(remedy.text)}</li>
            ))}
          </ul>
        )}
        {aside && <AsideForm once={aside.once} onPut={(why, lasting) => aside.put(finding, why, lasting)} />}
      </details>
      {taps.map((remedy) => (
        <Button
          key={identity(remedy.text)}
          size="own"
          className="no-print mr-2 h-auto min-h-11 py-1"
          onClick={() => defined(onChange)(defined(remedy.change), finding)}
        >
          {say(remedy.text)} {remedy.cost && <span className="quiet font-normal">{say(remedy.cost)}</span>}
        </Button>
      ))}
    </li>
  );
}

/** Mixes of the workshop in which less speaks against it. */
function Fitting({ fitting, onMix }: { fitting: readonly FittingMix[]; onMix: (mixId: string) => void }) {
  const say = useSay();
  return (
    <p className="no-print flex flex-wrap items-center gap-2">
      <span className="text-sm">{say('judging.lessSpeaks')}</span>
      {fitting.map(({ id, name, cost, price }) => (
        <Button
          key={id}
          size="own"
          className="h-auto min-h-11 flex-col items-start gap-0 py-1 text-left"
          onClick={() => onMix(id)}
        >
          {say('judging.useMix', { name })}
          <span className="quiet text-xs font-normal">
            {say(cost)}
            {price &&
              `, ${say('judging.priceChange', { from: quantity(price.from, 'money'), to: quantity(price.to, 'money') })}`}
          </span>
        </Button>
      ))}
    </p>
  );
}

function PutAside({ put, aside }: FindingsProps & { put: readonly PourFinding[] }) {
  const say = useSay();
  return (
    <details className="quiet">
      <summary className="min-h-11 cursor-pointer py-2">{say('judging.putAsideCount', { count: put.length })}</summary>
      <ul className="space-y-1" aria-label={say('judging.putAside')}>
        {put.map((finding) => (
          <li key={keyOf(finding)}>
            {say(finding.text)} <q>{finding.aside}</q>{' '}
            {aside && (
              <Button needs="caster" look="plain" size="low" className="btn-sm" onClick={() => aside.take(finding)}>
                {say('judging.takeUpAgain')}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </details>
  );
}
