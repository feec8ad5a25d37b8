import { IsIn, IsOptional, IsUUID } from 'class-validator';
import { PageQuery } from './lists.js';

/** Kinds of things to which something is done, as their routes begin. */
export const auditThings = [
  'account',
  'archive',
  'articles',
  'calendar',
  'cast-pictures',
  'casts',
  'findings',
  'findings-aside',
  'invitations',
  'lots',
  'materials',
  'mixes',
  'money',
  'moulds',
  'orders',
  'patterns',
  'people',
  'pictures',
  'places',
  'pours',
  'scoops',
  'stock',
  'swatches',
  'tiles',
  'tints',
  'trials',
  'tubs',
  'webhooks',
  'workshop',
] as const;
export type AuditThing = (typeof auditThings)[number];

/** What is done to them: as their routes end, else by what a request does. */
export const auditDeeds = [
  'added',
  'changed',
  'removed',
  'address',
  'close',
  'costings',
  'demoulding',
  'events',
  'finish',
  'forget',
  'import',
  'language',
  'passkeys',
  'passphrase',
  'pictures',
  'plan',
  'reading',
  'readings',
  'recall',
  'recovery',
  'renewal',
  'run',
  'sessions',
  'start',
  'tokens',
  'try',
  'undo',
  'week',
] as const;
export type AuditDeed = (typeof auditDeeds)[number];

/** Which entries are listed, the newest first. */
export class AuditQuery extends PageQuery {
  @IsOptional() @IsUUID() person?: string;
  @IsOptional() @IsIn(auditThings) thing?: AuditThing;
  /** What it was done to. */
  @IsOptional() @IsUUID() record?: string;
}

/** Something that a person did. */
export interface AuditEntryView {
  readonly id: string;
  /** ms */
  readonly at: number;
  /** Their name then. */
  readonly person: string;
  readonly thing: AuditThing;
  readonly deed: AuditDeed;
  readonly recordId?: string;
  /** What it is called, or was when it was last named. */
  readonly record?: string;
  /** Which event was added to a cast, by its type. */
  readonly event?: string;
}
