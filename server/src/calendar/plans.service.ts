import { Injectable } from '@nestjs/common';
import { msg } from '@dewpot/core/units';
import type { CalendarPlanInput, CalendarPlanView, CalendarTodayView, PlannedLineView } from '@dewpot/contract';
import { In } from 'typeorm';
import { saveEdited } from '../db/save-edited.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import { MixEntity } from '../mixes/mixes.entities.js';
import { MouldEntity } from '../moulds/moulds.entities.js';
import { TintEntity } from '../tints/tints.entities.js';
import { CalendarPlanEntity } from './calendar.entities.js';
import { planView } from './calendar.mappers.js';
import { OrdersService } from './orders.service.js';

/** The plan of a workshop's open orders: made in a browser, kept for everybody. */
@Injectable()
export class PlansService {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly orders: OrdersService,
  ) {}

  /** The plan that is kept, with what its lines are. */
  async today(): Promise<CalendarTodayView> {
    const row = await this.rows.of(CalendarPlanEntity).findOneBy({ id: this.rows.workshopId });
    return { ...(row && { plan: planView(row) }), lines: await this.lines() };
  }

  /** Keeps a plan. @throws ProblemError 409 where somebody kept another meanwhile, 422 where it names a line that no open order has. */
  async save({ version, ...body }: CalendarPlanInput): Promise<CalendarPlanView> {
    await this.checkLines(body);
    const { workshopId } = this.rows;
    return planView(await saveEdited(this.rows, this.rows.of(CalendarPlanEntity), 'plan', workshopId, version, { body })); // prettier-ignore
  }

  async remove(): Promise<void> {
    await this.rows.of(CalendarPlanEntity).delete({ id: this.rows.workshopId });
  }

  private async checkLines({ sessions }: Pick<CalendarPlanInput, 'sessions'>): Promise<void> {
    const open = await this.orders.open();
    const known = new Set(open.flatMap(({ body }) => body.lines.map(({ id }) => id)));
    const stray = sessions.flatMap(({ poured }) => poured).find(({ line }) => !known.has(line));
    if (stray)
      throw ProblemError.refused(msg('server.invalid'), 'sessions', stray.line, msg('server.lineGone'), msg('server.planAnew')); // prettier-ignore
  }

  /** The lines of the open orders in words. */
  private async lines(): Promise<PlannedLineView[]> {
    const open = await this.orders.open();
    const all = open.flatMap(({ name: order, body }) => body.lines.map((line) => ({ order, ...line })));
    if (all.length === 0) return [];
    const names = async <E extends { id: string; name: string }>(entity: new () => E, ids: readonly string[]) =>
      new Map(
        (await this.rows.of<E>(entity).findBy({ id: In([...new Set(ids)]) } as never)).map((row) => [row.id, row]),
      );
    const moulds = await names(MouldEntity, all.map(({ mouldId }) => mouldId)); // prettier-ignore
    const mixes = await names(MixEntity, all.map(({ mixId }) => mixId)); // prettier-ignore
    const tints = await names(TintEntity, all.flatMap(({ tintId }) => tintId ?? [])); // prettier-ignore
    return all.map(({ id, order, mouldId, mixId, tintId, by }) => {
      const tint = tintId === undefined ? undefined : tints.get(tintId)?.name;
      return {
        id,
        order,
        mouldId,
        mould: moulds.get(mouldId)?.name ?? '',
        mixId,
        mix: mixes.get(mixId)?.name ?? '',
        ...(tintId && { tintId }),
        ...(tint && { tint }),
        ...(by !== undefined && { by }),
      };
    });
  }
}
