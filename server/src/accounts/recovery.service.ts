import { Injectable } from '@nestjs/common';
import type { Recovery, RecoveryCodes, RecoveryCodesLeft } from '@dewpot/contract';
import { WorkshopContext } from '../db/workshop-context.js';
import { hashToken } from '../http/tokens.js';
import { Accounts, type Account } from './accounts.service.js';
import { People } from './people.service.js';
import { newRecoveryCode, plainRecoveryCode } from './recovery-codes.js';

/** Codes that are made at once. */
const CODES = 10;

/** A way back in for whoever lost their passphrase: codes that were written down, each of which serves once. */
@Injectable()
export class RecoveryService {
  constructor(
    private readonly accounts: Accounts,
    private readonly people: People,
    private readonly rows: WorkshopContext,
  ) {}

  async left(personId: string): Promise<RecoveryCodesLeft> {
    return { left: await this.accounts.codesLeft(await this.people.accountOf(personId)) };
  }

  /** Makes new codes; older ones are over. They are told this once. */
  async make(personId: string): Promise<RecoveryCodes> {
    const codes = Array.from({ length: CODES }, newRecoveryCode);
    await this.accounts.makeCodes(await this.people.accountOf(personId), codes.map(plainRecoveryCode).map(hashToken));
    return { codes };
  }

  /** Chooses a new passphrase by a code; every session of the account ends. Undefined where address and code do not belong together. */
  async recover({ email, code, passphrase }: Recovery): Promise<Account | undefined> {
    const passphrase_hash = await this.people.hash(passphrase);
    const account = await this.accounts.at(email);
    if (!account) return undefined;
    return this.rows.inWorkshop(account.workshop_id, async () => {
      // The code is used and the account renewed by one transaction, held against whoever changes it too.
      await this.accounts.held(account.account_id);
      if (!(await this.accounts.useCode(account.account_id, hashToken(plainRecoveryCode(code))))) return undefined;
      await this.accounts.renew(account.account_id, passphrase_hash);
      return { ...account, passphrase_hash };
    });
  }
}
