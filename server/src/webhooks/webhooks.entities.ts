import type { WebhookBody } from '@dewpot/contract';
import { Column, Entity, Index } from 'typeorm';
import { milliseconds, PartOf, WorkshopRow } from '../db/row.js';
import { stored } from '../db/stored.js';

/** An address that is told of what comes due. Its secret is kept as it is: what is sent is signed with it. */
@Entity('webhooks')
export class WebhookEntity extends WorkshopRow {
  @Column('text') label: string;
  @Column('text') address: string;
  @Column('text') secret: string;
  @Column('bigint', { name: 'made_at', transformer: milliseconds }) madeAt: number;
  /** When it was last looked for what came due, ms. */
  @Column('bigint', { name: 'looked_at', transformer: milliseconds }) lookedAt: number;
  /** What was due when it was last looked; null before. */
  @Column('text', { array: true, nullable: true }) told: readonly string[] | null;
}

/** Something that is sent to such an address, until it was taken there. */
@Entity('webhook_deliveries')
@PartOf(() => WebhookEntity, 'webhookId')
@Index(['workshopId', 'webhookId', 'id'])
export class WebhookDeliveryEntity extends WorkshopRow {
  @Column('uuid', { name: 'webhook_id' }) webhookId: string;
  @Column('bigint', { transformer: milliseconds }) at: number;
  @Column(stored()) body: WebhookBody;
  @Column('int', { default: 0 }) tries: number;
  @Column('bigint', { name: 'delivered_at', nullable: true, transformer: milliseconds }) deliveredAt: number | null;
  /** What came of the last try. */
  @Column('text', { nullable: true }) error: string | null;
}
