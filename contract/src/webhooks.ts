import type { CastTask } from '@dewpot/core/casts';
import { IsUrl } from 'class-validator';
import { Text } from './limits.js';

/** An address that is to be told of what comes due. */
export class WebhookInput {
  /** What it is for. */
  @Text(1, 60) label: string;
  @IsUrl({ protocols: ['http', 'https'], require_protocol: true, require_tld: false }) @Text(8, 500) address: string;
}

/** One of them, as it is listed. Times ms. */
export interface WebhookView {
  readonly id: string;
  readonly label: string;
  readonly address: string;
  readonly madeAt: number;
  /** What was sent to it, the newest first. */
  readonly deliveries: readonly WebhookDeliveryView[];
}

/** One that was made: its secret is told this once. */
export interface WebhookMade {
  readonly id: string;
  readonly secret: string;
}

/** Something that was sent, or is to be. */
export interface WebhookDeliveryView {
  readonly id: string;
  readonly at: number;
  readonly type: WebhookBody['type'];
  readonly casts: number;
  readonly tries: number;
  readonly deliveredAt?: number;
  readonly error?: string;
}

/** What came due together. */
export interface WebhookDue {
  readonly task: CastTask;
  readonly mould: string;
  readonly casts: readonly { readonly id: string; readonly code: string }[];
  /** Its window, ms. */
  readonly from: number;
  readonly until?: number;
}

/** What is sent: that something came due, or that the address is tried. */
export interface WebhookBody {
  readonly type: 'due' | 'try';
  readonly workshop: { readonly id: string; readonly name: string };
  /** ms */
  readonly at: number;
  readonly due: readonly WebhookDue[];
}
