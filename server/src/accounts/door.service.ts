import { defined } from '@dewpot/core/math';
import { Injectable } from '@nestjs/common';
import type { Request } from 'express';
import { COOKIE, cookieFor } from './cookie.js';
import { plainAddress, type Entrance } from './accounts.service.js';
import { Sessions } from './sessions.js';
import { SignInTries } from './sign-in-tries.js';

/** Lets somebody in whose account is known. */
@Injectable()
export class DoorService {
  constructor(
    private readonly sessions: Sessions,
    private readonly tries: SignInTries,
  ) {}

  /** Lets in whoever proves that an account is theirs, which throws where they do not; each try counts. @throws ProblemError 401, 429 */
  async letIn(email: string, request: Request, prove: () => Promise<Entrance>): Promise<void> {
    const one = { email: plainAddress(email), address: request.ip ?? '' };
    await this.tries.begin(one);
    const entrance = await prove();
    await this.tries.right(one);
    await this.open(entrance, request);
  }

  /** Opens a session of the browser that asks. @throws ProblemError 401 where the account was changed meanwhile */
  async open({ workshop_id: workshopId, person_id: personId, passphrase_hash: passphraseHash }: Entrance, request: Request): Promise<void> {
    const label = request.headers['user-agent'] ?? '';
    const token = await this.sessions.open({ workshopId, personId, passphraseHash }, 'browser', label);
    defined(request.res).cookie(COOKIE, token, cookieFor(request));
  } // prettier-ignore
}
