import { Injectable } from '@nestjs/common';
import { msg } from '@dewpot/core/units';
import type { OpenLine, PouredBefore } from '@dewpot/core/calendar';
import { isAsWanted, reachedState } from '@dewpot/core/casts';
import type { OrderInput, OrderLineInput, OrderView } from '@dewpot/contract';
import { In } from 'typeorm';
import { CastEntity } from '../casts/casts.entities.js';
import { saveEdited } from '../db/save-edited.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import { OrderEntity } from './calendar.entities.js';
import { orderView } from './calendar.mappers.js';

/** Orders that are open at once. */
const MOST_OPEN = 40;
/** Orders that are told at once, the newest of those that are closed. */
const MOST_TOLD = 200;

/** What is wanted of a workshop, and how far it has come. */
@Injectable()
export class OrdersService {
  constructor(private readonly rows: WorkshopContext) {}

  /** The open orders and the newest of those that are closed. */
  async list(now: number): Promise<OrderView[]> {
    const found = await this.rows.of(OrderEntity).find({ order: { closed: 'ASC', id: 'DESC' }, take: MOST_TOLD });
    const poured = await this.poured(found, now);
    return found.map((row) => orderView(row, poured));
  }

  /** Saves an order. @throws ProblemError 409 where the version is stale or too many are open, 422 where a line is there twice. */
  async save(id: string, { version, name, closed = false, ...body }: OrderInput, now: number): Promise<OrderView> {
    if (version === 0 && !closed) await this.mayOpen(id);
    const twice = body.lines.find((line, i) => body.lines.findIndex((one) => one.id === line.id) !== i);
    if (twice)
      throw ProblemError.refused(msg('server.invalid'), 'lines', twice.id, msg('server.lineTwice'), msg('server.leaveOneOut')); // prettier-ignore
    const fields = { name: name.trim(), closed, body };
    const saved = await saveEdited(this.rows, this.rows.of(OrderEntity), 'order', id, version, fields);
    return orderView(saved, await this.poured([saved], now));
  }

  async remove(id: string): Promise<void> {
    await this.rows.of(OrderEntity).delete({ id });
  }

  /** The open orders, the oldest first. */
  open(): Promise<OrderEntity[]> {
    return this.rows.of(OrderEntity).find({ where: { closed: false }, order: { id: 'ASC' } });
  }

  /** The lines of the open orders, with what was poured of each. */
  async openLines(now: number): Promise<OpenLine[]> {
    const open = await this.open();
    const poured = await this.poured(open, now);
    return open.flatMap(({ name, body: { placeId, lines } }) =>
      lines.map((line) => ({ ...line, order: name, ...(placeId && { placeId }), poured: poured.get(line.id) ?? [] })),
    );
  }

  private async mayOpen(id: string): Promise<void> {
    await this.rows.lockWorkshop();
    const [known, open] = [
      await this.rows.of(OrderEntity).existsBy({ id }),
      await this.rows.of(OrderEntity).countBy({ closed: false }),
    ];
    if (!known && open >= MOST_OPEN)
      throw new ProblemError(409, msg('server.enoughOrders'), {
        detail: msg('server.closeOrders', { most: MOST_OPEN }),
      });
  }

  /** What was poured of each line of orders and is not broken, pour by pour. */
  private async poured(orders: readonly OrderEntity[], now: number): Promise<ReadonlyMap<string, PouredBefore[]>> {
    const lines = new Map(orders.flatMap(({ body }) => body.lines).map((line) => [line.id, line]));
    if (lines.size === 0) return new Map();
    const casts = await this.rows.of(CastEntity).findBy({ orderLine: In([...lines.keys()]) });
    const found = new Map<string, PouredBefore[]>();
    for (const [id, line] of lines) found.set(id, pouredOf(line, casts.filter(({ orderLine }) => orderLine === id), now)); // prettier-ignore
    return found;
  }
}

/** The casts of a line by when they were poured. */
function pouredOf({ state }: OrderLineInput, casts: readonly CastEntity[], now: number): PouredBefore[] {
  const whole = casts.filter(({ stage }) => stage !== 'broken');
  return [...new Set(whole.map(({ pouredAt }) => pouredAt))].flatMap((at) =>
    [true, false].flatMap((safe): PouredBefore[] => {
      const own = whole.filter((cast) => cast.pouredAt === at && (cast.stage !== 'setting') === safe);
      const ready = own.filter(({ projection: { life, dry } }) => isAsWanted(reachedState(life, dry, now), state));
      return own.length === 0 ? [] : [{ at, count: own.length, safe, ready: ready.length }];
    }),
  );
}
