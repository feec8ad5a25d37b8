import { Link } from 'react-router';
import { gainOfCopy, priceFor, sending, type Costing, type PieceCost, type PieceFacts } from '@dewpot/core/money';
import type { PricingInput } from '@dewpot/contract';
import { FigureWorking } from '../ui/figure-working';
import { useSay } from '../ui/say';

interface CostProps {
  readonly cost: PieceCost;
  readonly facts: PieceFacts;
  readonly costing: Costing;
  readonly pricing: PricingInput;
}

/** What a piece costs by its parts, what to ask for it, and what it costs to send. */
export function CostView({ cost, facts, costing, pricing }: CostProps) {
  const say = useSay();
  const money = (value: number) => say.quantity(value, 'money');
  const { price, lowest } = priceFor(cost.cost.value, cost.materials, Math.min(0.95, Math.max(0, pricing.margin)));
  return (
    <>
      <dl className="grid grid-cols-2 gap-4 sm:grid-cols-3">
        <Told name={say('money.pieceCosts')} value={money(cost.cost.value)}><FigureWorking figure={cost.cost} /></Told>
        <Told name={say('money.askForIt')} value={money(price)}>{say('money.notBelow', { lowest: money(lowest) })}</Told>
        {facts.soldFor !== undefined && <Told name={say('money.wasSoldFor')} value={money(facts.soldFor)}>{say('money.soldOnes', { sold: facts.sold })}</Told>}
      </dl>
      <Parts cost={cost} />
      <p className="quiet text-sm">
        {facts.gramCost === undefined ? say('money.noPrices') : say('money.mixFromPours')}{' '}
        {facts.fresh === undefined && say('money.nonePoured')}{' '}
        {say('money.goodOnRecord', { good: facts.good, casts: facts.casts, share: say.quantity(100 * cost.goodShare, '%', 0) })}
      </p>
      <Sending facts={facts} pricing={pricing} />
      <AnotherCopy costing={costing} />
    </>
  );
} // prettier-ignore

function Told({ name, value, children }: { name: string; value: string; children: React.ReactNode }) {
  return (
    <div>
      <dt className="text-sm font-semibold">{name}</dt>
      <dd>
        <span className="numeral block text-3xl">{value}</span>
        <span className="quiet text-sm">{children}</span>
      </dd>
    </div>
  );
}

/** Each part of the cost as a bar of the whole. */
function Parts({ cost: { parts, cost } }: { cost: PieceCost }) {
  const say = useSay();
  return (
    <ul className="space-y-1" aria-label={say('money.partsOfCost')}>
      {parts.map(({ kind, name, cost: part }) => (
        <li key={kind} className="grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)_5rem] items-center gap-2">
          <span>{say(name)}</span>
          <span className="bg-base-300/60 block h-4" aria-hidden="true">
            <span className="bg-secondary block h-4" style={{ width: `${(100 * part) / cost.value}%` }} />
          </span>
          <span className="numeral text-right">{say.quantity(part, 'money')}</span>
        </li>
      ))}
    </ul>
  );
}

/** What sending a dry piece costs, and what it would save to be lighter. */
function Sending({ facts: { dry }, pricing: { bands } }: Pick<CostProps, 'facts' | 'pricing'>) {
  const say = useSay();
  const told = bands.filter(({ upTo }) => upTo > 0);
  if (dry === undefined || told.length === 0) return null;
  const { packed, price, lighter } = sending(dry, told);
  return (
    <p>
      {price === undefined
        ? say('money.tooHeavyToSend', { packed: say.quantity(packed, 'g') })
        : say('money.sendsFor', { packed: say.quantity(packed, 'g'), price: say.quantity(price, 'money') })}{' '}
      {lighter && say('money.lighterSaves', { share: say.quantity(100 * lighter.share, '%', 0), saves: say.quantity(lighter.saves, 'money') })}
    </p>
  );
} // prettier-ignore

/** Whether another copy of the mould pays by the evenings that it saves. */
function AnotherCopy({ costing: { price = 0, evenings = 0, evening = 0 } }: Pick<CostProps, 'costing'>) {
  const say = useSay();
  if (!(price > 0 && evenings > 0 && evening > 0)) return <p className="quiet text-sm">{say('money.copyAsk')} <Link className="link" to="/calendar">{say('money.toCalendar')}</Link></p>;
  const gain = gainOfCopy({ price, sessions: evenings, worth: evening });
  const money = (value: number) => say.quantity(value, 'money');
  return <p>{say(gain > 0 ? 'money.copyPays' : 'money.copyDoesNot', { evenings, price: money(price), gain: money(Math.abs(gain)) })}</p>;
} // prettier-ignore
