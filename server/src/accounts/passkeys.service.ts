import { msg } from '@dewpot/core/units';
import { Injectable } from '@nestjs/common';
import type { NewPasskey, PasskeyOptions, PasskeySignIn, PasskeyView } from '@dewpot/contract';
import {
  generateAuthenticationOptions,
  generateRegistrationOptions,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
  type AuthenticatorTransport,
} from '@simplewebauthn/server';
import { v7 as uuid } from 'uuid';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import type { Account } from './accounts.service.js';

/** Passkeys of one account. */
const MOST = 20;
const TYPE = 'public-key' as const;

/** Where a browser is: the name that a passkey is bound to, and the origin that the browser vouches for. */
export interface Site {
  readonly name: string;
  readonly origin: string;
}

interface Kept {
  readonly id: string;
  readonly credential: string;
  readonly site: string;
  readonly transports: AuthenticatorTransport[];
  readonly label: string;
  readonly made_at: Date;
  readonly used_at: Date | null;
}

interface Found extends Account {
  readonly id: string;
  readonly site: string;
  readonly public_key: Buffer;
  readonly counter: string;
}

/** Passkeys by WebAuthn. Each challenge is taken once, whichever server made it; a passkey serves at the name that it was made for. */
@Injectable()
export class PasskeysService {
  constructor(private readonly rows: WorkshopContext) {}

  async all(accountId: string): Promise<PasskeyView[]> {
    return (await this.of(accountId)).map(({ id, label, made_at, used_at }) => ({
      ...{ id, label, madeAt: made_at.getTime() },
      ...(used_at && { usedAt: used_at.getTime() }),
    }));
  }

  /** What a browser makes a passkey with. @throws ProblemError 409 where there are too many */
  async offer(accountId: string, who: { readonly name: string; readonly email: string }, site: Site): Promise<PasskeyOptions> {
    const kept = await this.of(accountId);
    if (kept.length >= MOST) throw new ProblemError(409, msg('server.notAllowed'), { detail: msg('server.manyPasskeys', { most: MOST }) });
    const options = await generateRegistrationOptions({
      rpName: 'Dew Pot',
      rpID: site.name,
      userID: new Uint8Array(Buffer.from(accountId.replaceAll('-', ''), 'hex')),
      userName: who.email,
      userDisplayName: who.name,
      excludeCredentials: kept.map(({ credential: id, transports }) => ({ id, transports })),
      authenticatorSelection: { residentKey: 'required', userVerification: 'preferred' },
    });
    await this.ask('select challenge_make($1, $2)', [options.challenge, accountId]);
    return { ...options };
  } // prettier-ignore

  /** Keeps a passkey that was made with an offer. @throws ProblemError 422 where it does not answer one, or is kept already */
  async add(accountId: string, given: NewPasskey, site: Site): Promise<PasskeyView[]> {
    const { credential: id, clientData: clientDataJSON, attestation: attestationObject, transports = [], label } = given;
    const response = { id, rawId: id, type: TYPE, clientExtensionResults: {}, response: { clientDataJSON, attestationObject } };
    const verified = await verifyRegistrationResponse({ response, ...this.expected(site, accountId) }).catch(refuse);
    if (!verified.verified) throw notKnown();
    const { credential } = verified.registrationInfo;
    const [{ added }] = await this.ask<[{ added: boolean }]>('select passkey_add($1, $2, $3, $4, $5, $6, $7, $8) as added', [
      ...[uuid(), accountId, credential.id, site.name, Buffer.from(credential.publicKey), credential.counter, transports, label],
    ]);
    if (!added) throw notKnown();
    return this.all(accountId);
  } // prettier-ignore

  /** @throws ProblemError 404 */
  async remove(accountId: string, id: string): Promise<void> {
    const [{ gone }] = await this.ask<[{ gone: boolean }]>('select passkey_remove($1, $2) as gone', [accountId, id]);
    if (!gone) throw ProblemError.notFound('passkey');
  }

  /** What a browser asks for any passkey of this site with. */
  async askFor(site: Site): Promise<PasskeyOptions> {
    const options = await generateAuthenticationOptions({ rpID: site.name, userVerification: 'preferred' });
    await this.ask('select challenge_make($1, null)', [options.challenge]);
    return { ...options };
  }

  /** The account whose passkey answers a challenge. @throws ProblemError 422 where none does */
  async known(given: PasskeySignIn, site: Site): Promise<Account> {
    const { credential: id, clientData: clientDataJSON, authenticatorData, signature } = given;
    const [found] = await this.ask<Found[]>('select * from passkey_find($1)', [id]);
    if (!found || found.site !== site.name) throw notKnown();
    const response = { id, rawId: id, type: TYPE, clientExtensionResults: {}, response: { clientDataJSON, authenticatorData, signature } };
    const credential = { id, publicKey: new Uint8Array(found.public_key), counter: Number(found.counter) };
    const { verified, authenticationInfo } = await verifyAuthenticationResponse({ response, credential, ...this.expected(site, null) }).catch(refuse);
    if (!verified) throw notKnown();
    await this.ask('select passkey_used($1, $2)', [found.id, authenticationInfo.newCounter]);
    return found;
  } // prettier-ignore

  private expected({ name, origin }: Site, accountId: string | null) {
    return {
      expectedChallenge: async (challenge: string) => {
        const [{ taken }] = await this.ask<[{ taken: boolean }]>('select challenge_take($1, $2) as taken', [
          ...[challenge, accountId],
        ]);
        return taken;
      },
      expectedOrigin: origin,
      expectedRPID: name,
      requireUserVerification: false,
    };
  }

  private of(accountId: string): Promise<Kept[]> {
    return this.ask('select * from passkeys_of($1)', [accountId]);
  }

  private ask<T>(query: string, given: readonly unknown[]): Promise<T> {
    return this.rows.connection.query(query, [...given]);
  }
}

const notKnown = () =>
  ProblemError.refused(
    msg('server.passkeyRefused'),
    'credential',
    null,
    msg('server.passkeyUnknown'),
    msg('server.passkeyAgain'),
  );

/** What the library refuses, it says by an error of its own kind; whatever else goes wrong is passed on. */
function refuse(error: unknown): never {
  if (error instanceof Error && !('query' in error)) throw notKnown();
  throw error;
} // prettier-ignore
