import { defined } from '@dewpot/core/math';
import { Injectable } from '@nestjs/common';
import type { Request } from 'express';
import { COOKIE, cookie } from './cookie.js';
import type { Account } from './accounts.service.js';
import { Sessions } from './sessions.js';

/** Lets somebody in whose account is known. */
@Injectable()
export class DoorService {
  constructor(private readonly sessions: Sessions) {}

  /** Opens a session of the browser that asks. @throws ProblemError 401 where the account was changed meanwhile */
  async open({ workshop_id: workshopId, person_id: personId, passphrase_hash: passphraseHash }: Omit<Account, 'account_id'>, request: Request): Promise<void> {
    const label = request.headers['user-agent'] ?? '';
    const token = await this.sessions.open({ workshopId, personId, passphraseHash }, 'browser', label);
    defined(request.res).cookie(COOKIE, token, cookie);
  } // prettier-ignore
}
