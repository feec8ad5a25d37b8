import { msg } from '@dewpot/core/units';
import { SURE_ENOUGH, type CalendarPlan, type LineOutcome } from '@dewpot/core/calendar';
import type { OrderView } from '@dewpot/contract';
import { Pencil } from 'lucide-react';
import { IconButton } from '../ui/icon-button';
import { PieceThumb } from '../ui/piece-thumb';
import { useSay } from '../ui/say';
import { chanceTold } from './chance-told';
import { stateWords } from './state-words';
import type { CalendarKnown } from './use-calendar-data';

/** How many closed orders are told. */
const CLOSED = 5;

/** All orders with how far they have come. */
export function OrdersSlab({
  known,
  plan,
  onEdit,
}: {
  known: CalendarKnown;
  plan: CalendarPlan | undefined;
  onEdit: (id: string) => void;
}) {
  // prettier-ignore
  const say = useSay();
  const open = known.orders.filter(({ closed }) => !closed);
  const closed = known.orders.filter((order) => order.closed).slice(0, CLOSED);
  return (
    <section className="card-slab" aria-label={say('calendar.orders')}>
      <h2 className="mb-2 text-xl">{say('calendar.orders')}</h2>
      <ul className="space-y-4">
        {open.map((order) => (
          <li key={order.id}>
            <div className="flex items-center justify-between gap-2">
              <h3 className="font-sans font-semibold">{order.name}</h3>
              <IconButton
                label={say('calendar.changeOrder', { name: order.name })}
                icon={Pencil}
                onClick={() => onEdit(order.id)}
              />
            </div>
            <OrderLines order={order} known={known} plan={plan} />
          </li>
        ))}
      </ul>
      {closed.length > 0 && (
        <p className="quiet mt-4 text-sm">
          {say('calendar.closedOrders', { names: closed.map(({ name }) => name).join(', ') })}
        </p>
      )}
    </section>
  );
}

function OrderLines({
  order,
  known,
  plan,
}: {
  order: OrderView;
  known: CalendarKnown;
  plan: CalendarPlan | undefined;
}) {
  const say = useSay();
  return (
    <ul className="divide-base-300 divide-y">
      {order.lines.map((line) => {
        const shown = known.lines.find((one) => one.line.id === line.id);
        const share = Math.min(1, line.ready / line.count);
        return (
          <li key={line.id} className="flex items-center gap-2 py-1.5">
            {shown?.mould && <PieceThumb shape={shown.mould.shape} colour={shown.colour} size={32} />}
            <div className="min-w-0 flex-1 leading-tight">
              <p className="truncate">
                {line.count} × {shown?.mould?.name ?? say('calendar.goneMould')}
              </p>
              <p className="quiet truncate text-xs">
                {say('calendar.lineTold', {
                  mix: shown?.tint?.name ?? shown?.mix?.name ?? '',
                  state: stateWords[line.state],
                  dated: line.by === undefined ? 'no' : 'yes',
                  by: line.by === undefined ? '' : msg('units.plain', { value: { at: line.by, as: 'date' } }),
                })}
              </p>
              <div className="bg-base-300 mt-1 h-1.5" aria-hidden="true">
                <div
                  className="h-full"
                  style={{ width: `${Math.min(1, line.poured / line.count) * 100}%`, background: 'var(--concrete)' }}
                >
                  <div
                    className="h-full"
                    style={{
                      width: line.poured > 0 ? `${(share * line.count * 100) / Math.max(line.poured, 1)}%` : 0,
                      background: 'var(--good)',
                    }}
                  />
                </div>
              </div>
            </div>
            <span className="text-right leading-tight">
              {line.by !== undefined && <LineChance outcome={plan?.outcomes.find((one) => one.line === line.id)} />}
              <span className="quiet block text-xs">
                {say('calendar.soFar', { poured: line.poured, ready: line.ready })}
              </span>
            </span>
          </li>
        );
      })}
    </ul>
  );
}

/** How likely a line is ready by its date. */
function LineChance({ outcome }: { outcome: LineOutcome | undefined }) {
  const say = useSay();
  if (!outcome) return null;
  return (
    <span className={`numeral block text-lg ${outcome.chance >= SURE_ENOUGH ? 'text-success' : 'text-error'}`}>
      {say(msg('units.plain', { value: chanceTold(outcome.chance) }))}
    </span>
  );
}
