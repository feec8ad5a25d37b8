import { msg } from '@dewpot/core/units';
import { createHash } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import { DataSource } from 'typeorm';
import { CONFIG, type ServerConfig } from '../config.js';
import { wasInTheWay } from '../db/outage.js';
import { ProblemError } from '../http/problem-error.js';

/** Tries for one account within an hour that cost no wait. */
const FREE_FOR_ACCOUNT = 6;

/** What another one was in the way of is asked so often. */
const TRIES = 4;

/** A way in that somebody tries: whose account, from which address. */
export interface Try {
  readonly email: string;
  readonly address: string;
}

const keysOf = ({ email, address }: Try) => [
  `account ${createHash('sha256').update(email).digest('base64url')}`,
  `address ${address}`,
];

/** Counts the tries to sign in, of every server before the database together: after a few each one has to wait longer. */
@Injectable()
export class SignInTries {
  constructor(
    private readonly source: DataSource,
    @Inject(CONFIG) private readonly config: ServerConfig,
  ) {}

  /** Counts a try before it is judged. @throws ProblemError 429 where it comes too soon */
  async begin(one: Try): Promise<void> {
    const [{ wait }] = await this.ask<[{ wait: number }]>('select sign_in_try($1, $2) as wait', [
      keysOf(one),
      [FREE_FOR_ACCOUNT, this.config.rates.freeTries],
    ]);
    if (wait > 0)
      throw new ProblemError(429, msg('server.tooManyTries'), {
        detail: msg('server.waitSeconds', { wait }),
        retryAfter: wait,
      });
  }

  /** Takes back the count of a try that was right; wrong ones before it still count. */
  async right(one: Try): Promise<void> {
    await this.ask('select sign_in_right($1)', [keysOf(one)]);
  }

  /** Several who sign in at once count under the same keys: where one was in another's way, it asks again. */
  private async ask<T>(query: string, given: readonly unknown[]): Promise<T> {
    for (let left = TRIES - 1; ; left--) {
      try {
        return await this.source.query<T>(query, [...given]);
      } catch (error) {
        if (left === 0 || !wasInTheWay(error)) throw error;
      }
    }
  }
}
