import { createHash } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { DataSource } from 'typeorm';
import { ProblemError } from '../http/problem-error.js';

/** Tries that cost no wait within an hour: of one account, and of one address, behind which several people may sit. */
const FREE = { account: 6, address: Number(process.env.DEWPOT_SIGN_IN_LIMIT ?? 30) };

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
  constructor(private readonly source: DataSource) {}

  /** Counts a try before it is judged. @throws ProblemError 429 where it comes too soon */
  async begin(one: Try): Promise<void> {
    const [{ wait }] = await this.source.query<[{ wait: number }]>('select sign_in_try($1, $2) as wait', [
      keysOf(one),
      [FREE.account, FREE.address],
    ]);
    if (wait > 0)
      throw new ProblemError(429, 'Too many tries', {
        detail: `Wait ${wait} seconds, then try again. Where you are signed in, you stay so.`,
        retryAfter: wait,
      });
  }

  /** Takes back the count of a try that was right; wrong ones before it still count. */
  async right(one: Try): Promise<void> {
    await this.source.query('select sign_in_right($1)', [keysOf(one)]);
  }
}
