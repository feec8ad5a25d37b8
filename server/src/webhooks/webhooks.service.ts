import { randomBytes } from 'node:crypto';
import { Injectable, type OnModuleInit } from '@nestjs/common';
import type { WebhookBody, WebhookDeliveryView, WebhookInput, WebhookMade, WebhookView } from '@dewpot/contract';
import { DAY, msg } from '@dewpot/core/units';
import { IsNull, LessThan } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { clock } from '../clock.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import { Jobs } from '../jobs/jobs.service.js';
import { whyFailed } from '../jobs/why-failed.js';
import { WebhookSender } from './webhook-sender.js';
import { WebhookDeliveryEntity, WebhookEntity } from './webhooks.entities.js';

/** Webhooks of one workshop. */
const MOST_WEBHOOKS = 10;
/** What was sent is forgotten after this, ms; so many are shown of each. */
const KEPT_FOR = 30 * DAY;
const SHOWN = 20;

/** Addresses that are told of what comes due, and what is sent to them: written in the transaction in which it was found, and sent after it. */
@Injectable()
export class WebhooksService implements OnModuleInit {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly jobs: Jobs,
    private readonly sender: WebhookSender,
  ) {}

  onModuleInit(): void {
    this.jobs.doesEach('send-webhook', ({ workshopId, id }) => this.send(workshopId, id));
  }

  async all(): Promise<WebhookView[]> {
    const hooks = await this.rows.of(WebhookEntity).find({ order: { id: 'ASC' } });
    const deliveries = await Promise.all(hooks.map(({ id }) => this.deliveriesOf(id)));
    return hooks.map(({ id, label, address, madeAt }, i) => ({ id, label, address, madeAt, deliveries: deliveries[i] ?? [] }));
  } // prettier-ignore

  /** Makes one. What is due already is not told. @throws ProblemError 409 where there are enough */
  async make({ label, address }: WebhookInput, now: number): Promise<WebhookMade> {
    await this.rows.lockWorkshop();
    const hooks = this.rows.of(WebhookEntity);
    if ((await hooks.count()) >= MOST_WEBHOOKS)
      throw new ProblemError(409, msg('server.notAllowed'), { detail: msg('server.manyWebhooks', { most: MOST_WEBHOOKS }) });
    const made = { id: uuid(), secret: randomBytes(32).toString('base64url') };
    await hooks.insert({ ...made, workshopId: this.rows.workshopId, label: label.trim(), address, madeAt: now, lookedAt: 0, told: null });
    return made;
  } // prettier-ignore

  /** Sends something to try the address. @throws ProblemError 404 */
  async try(id: string, now: number): Promise<void> {
    if (!(await this.rows.of(WebhookEntity).existsBy({ id }))) throw ProblemError.notFound('webhook');
    await this.post(id, { type: 'try', due: [] }, now);
  }

  /** @throws ProblemError 404 */
  async remove(id: string): Promise<void> {
    const { affected } = await this.rows.of(WebhookEntity).delete({ id });
    if (affected === 0) throw ProblemError.notFound('webhook');
  }

  /** Writes what is to be sent to a webhook. */
  async post(webhookId: string, given: Pick<WebhookBody, 'type' | 'due'>, now: number): Promise<void> {
    const { id: workshopId, settings } = await this.rows.workshop();
    const deliveries = this.rows.of(WebhookDeliveryEntity);
    await deliveries.delete({ webhookId, at: LessThan(now - KEPT_FOR) });
    const body = { ...given, workshop: { id: workshopId, name: settings.name }, at: now };
    const id = uuid();
    await deliveries.insert({ id, workshopId, webhookId, at: now, body, tries: 0, deliveredAt: null, error: null });
    await this.jobs.ask('send-webhook', { workshopId, id });
  }

  private async deliveriesOf(webhookId: string): Promise<WebhookDeliveryView[]> {
    const found = await this.rows
      .of(WebhookDeliveryEntity)
      .find({ where: { webhookId }, order: { id: 'DESC' }, take: SHOWN });
    return found.map(({ id, at, body, tries, deliveredAt, error }) => ({
      ...{ id, at, type: body.type, tries },
      casts: body.due.reduce((sum, { casts }) => sum + casts.length, 0),
      ...(deliveredAt !== null && { deliveredAt }),
      ...(error !== null && { error }),
    }));
  }

  /** Sends one that was not taken yet; answers why it was not taken. */
  private async send(workshopId: string, id: string): Promise<string | undefined> {
    const found = await this.rows.inWorkshop(workshopId, async () => {
      const delivery = await this.rows.of(WebhookDeliveryEntity).findOneBy({ id, deliveredAt: IsNull() });
      const hook = delivery && (await this.rows.of(WebhookEntity).findOneBy({ id: delivery.webhookId }));
      return hook && { delivery, hook };
    });
    // Removed, or sent by another try of the same job.
    if (!found) return undefined;
    const { hook, delivery } = found;
    const error = await this.sender.send({ ...hook, id, body: JSON.stringify({ id, ...delivery.body }) }, clock.now()).then(
      () => undefined,
      whyFailed,
    );
    const ended = { tries: delivery.tries + 1, error: error ?? null, ...(error === undefined && { deliveredAt: clock.now() }) };
    await this.rows.inWorkshop(workshopId, () => this.rows.of(WebhookDeliveryEntity).update({ id }, ended));
    return error;
  } // prettier-ignore
}
