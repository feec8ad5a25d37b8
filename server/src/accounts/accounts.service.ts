import { msg } from '@dewpot/core/units';
import { Injectable } from '@nestjs/common';
import type { Role } from '@dewpot/contract';
import { DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { PgNotifications } from '../db/pg-notifications.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import { sessionTopic } from './session-topic.js';

/** Someone who has an account, as they are looked up before their workshop is known: in the workshop where they were at work last. */
export interface Account {
  readonly account_id: string;
  readonly workshop_id: string;
  readonly person_id: string;
  readonly passphrase_hash: string | null;
}

/** Where whoever proved an account comes in. */
export type Entrance = Omit<Account, 'account_id'>;

/** A workshop that an account is in, and who it is there. */
export interface Membership {
  readonly workshop_id: string;
  readonly person_id: string;
  readonly name: string;
  readonly role: Role;
  /** It was deleted then, ms. */
  readonly removed_at: string | null;
}

/** An address is written in one way. */
export const plainAddress = (email: string) => email.trim().toLowerCase();

/** Somebody’s account was changed while they were on their way in. */
export const justChanged = () =>
  new ProblemError(401, msg('server.signInFailed'), { detail: msg('server.justChanged') });

/** Accounts, which belong to no workshop: PostgreSQL answers by functions that are made for them alone. */
@Injectable()
export class Accounts {
  constructor(
    private readonly source: DataSource,
    private readonly rows: WorkshopContext,
    private readonly news: PgNotifications,
  ) {}

  async at(email: string): Promise<Account | undefined> {
    const [account] = await this.source.query<Account[]>('select * from sign_in_lookup($1)', [plainAddress(email)]);
    return account;
  }

  /** Someone of the demo workshop; undefined where there is none. */
  async ofDemo(): Promise<Account | undefined> {
    const [account] = await this.source.query<Account[]>('select * from demo_lookup()');
    return account;
  }

  /** The workshops that an account is in; while it is held, nobody joins one. */
  workshopsOf(accountId: string): Promise<Membership[]> {
    return this.rows.connection.query('select * from account_workshops($1)', [accountId]);
  }

  /** Makes an account in the transaction at hand; undefined where the address is somebody's. */
  async make(email: string, passphraseHash: string | null): Promise<string | undefined> {
    const id = uuid();
    const [{ made }] = await this.ask<[{ made: boolean }]>('select account_make($1, $2, $3) as made', [
      ...[id, plainAddress(email), passphraseHash],
    ]);
    return made ? id : undefined;
  }

  /** Holds an account until the transaction at hand is through; answers the hash of its passphrase, undefined where the account is gone. */
  async held(accountId: string): Promise<string | null | undefined> {
    const [row] = await this.ask<{ passphrase_hash: string | null }[]>('select * from account_held($1)', [accountId]);
    return row?.passphrase_hash;
  }

  /** Gives an account another passphrase. Its sessions end in every workshop, but for the one that is spared. */
  async renew(accountId: string, passphraseHash: string, spared: string | null = null): Promise<void> {
    const ended = await this.ask<{ session_id: string }[]>('select * from account_renew($1, $2, $3)', [
      ...[accountId, passphraseHash, spared],
    ]);
    for (const { session_id: id } of ended) await this.news.tell(this.rows.manager, sessionTopic(id));
  }

  /** Puts new recovery codes in the place of an account's old ones. */
  async makeCodes(accountId: string, hashes: readonly Buffer[]): Promise<void> {
    await this.ask('select recovery_codes_make($1, $2)', [accountId, hashes]);
  }

  /** Recovery codes that were not used. */
  async codesLeft(accountId: string): Promise<number> {
    const [{ left }] = await this.ask<[{ left: string }]>('select recovery_codes_left($1) as left', [accountId]);
    return Number(left);
  }

  /** Uses a recovery code; whether it was one that had not been used. */
  async useCode(accountId: string, hash: Buffer): Promise<boolean> {
    const [{ right }] = await this.ask<[{ right: boolean }]>('select recovery_code_use($1, $2) as right', [
      ...[accountId, hash],
    ]);
    return right;
  }

  private ask<T>(query: string, given: readonly unknown[]): Promise<T> {
    return this.rows.manager.query(query, [...given]);
  }
}
