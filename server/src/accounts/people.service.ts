import { msg, type Language } from '@dewpot/core/units';
import { Injectable } from '@nestjs/common';
import type { PersonView, Role } from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import { PastPersonEntity, PersonEntity } from './accounts.entities.js';
import { personView } from './accounts.mappers.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import type { CurrentUser } from '../http/request.js';
import { Accounts, justChanged, plainAddress, type Account } from './accounts.service.js';
import { Passphrases } from './passphrases.js';
import { Sessions } from './sessions.js';

/** A person without a passphrase comes in by the demo's door alone. */
interface NewPerson {
  readonly name: string;
  readonly email: string;
  readonly passphraseHash?: string;
  readonly language?: Language | undefined;
}

/** The address is somebody's already: told to whoever lets a person in, and to nobody who registers. */
export class AddressTaken extends Error {}

/** How a person is known in a workshop. */
export type Newcomer = Pick<NewPerson, 'name' | 'email' | 'language'>;

/** The people of workshops and their passphrases. */
@Injectable()
export class People {
  constructor(
    private readonly accounts: Accounts,
    private readonly rows: WorkshopContext,
    private readonly sessions: Sessions,
    private readonly passphrases: Passphrases,
  ) {}

  /** The account of an e-mail and its passphrase; undefined where they do not belong together. Takes as long either way. */
  async known(email: string, passphrase: string): Promise<Account | undefined> {
    const account = await this.accounts.at(email);
    return (await this.passphrases.isRight(account?.passphrase_hash, passphrase)) ? account : undefined;
  }

  async all(): Promise<PersonView[]> {
    return (await this.rows.of(PersonEntity).find({ order: { id: 'ASC' } })).map(personView);
  }

  async one(id: string): Promise<PersonView> {
    return personView(await this.row(id));
  }

  /** A person with their account and the language that they read in. */
  async reading(id: string): Promise<PersonView & Pick<PersonEntity, 'accountId' | 'language'>> {
    const row = await this.row(id);
    return { ...personView(row), accountId: row.accountId, language: row.language };
  }

  /** Chooses the language that a person reads in. */
  async readIn(id: string, language: Language): Promise<void> {
    await this.rows.of(PersonEntity).update({ id }, { language });
  }

  private async row(id: string): Promise<PersonEntity> {
    const row = await this.rows.of(PersonEntity).findOneBy({ id });
    if (!row) throw ProblemError.notFound('person');
    return row;
  }

  /** A new person with the hash of their passphrase: made before a transaction opens, since it takes its time. */
  async hashed({ name, email, passphrase }: Pick<NewPerson, 'name' | 'email'> & { passphrase: string }) {
    return { name, email, passphraseHash: await this.hash(passphrase) };
  }

  /** What is kept of a passphrase; made before a transaction opens. */
  hash(passphrase: string): Promise<string> {
    return this.passphrases.hash(passphrase);
  }

  /** The account of a person of the workshop at hand. */
  async accountOf(id: string): Promise<string> {
    return (await this.row(id)).accountId;
  }

  /** Whoever lost their passphrase gets a new one from an owner, as long as they are in no other workshop: those are not the owner's. @throws ProblemError 409 */
  async renewPassphrase(id: string, passphraseHash: string): Promise<void> {
    await this.accounts.renew(await this.onlyHere(id), passphraseHash);
  }

  /** The account of a person who is in this workshop alone; it is held. @throws ProblemError 404, 409 */
  async onlyHere(id: string): Promise<string> {
    const { accountId, name } = await this.row(id);
    await this.accounts.held(accountId);
    if ((await this.accounts.workshopsOf(accountId)).length > 1)
      throw new ProblemError(409, msg('server.notAllowed'), { detail: msg('server.inOtherWorkshops', { name }) });
    return accountId;
  }

  /** Lets somebody new into the workshop at hand; answers their id. @throws AddressTaken */
  async join({ passphraseHash, ...person }: NewPerson, role: Role): Promise<string> {
    const accountId = await this.accounts.make(person.email, passphraseHash ?? null);
    if (accountId === undefined) throw new AddressTaken('This address is somebody’s already.');
    return this.joinAs(accountId, person, role);
  }

  /** Lets an account into the workshop at hand; answers the person's id. @throws ProblemError 409 where it is in there already; 401 where it is gone */
  async joinAs(accountId: string, { name, email, language }: Newcomer, role: Role): Promise<string> {
    if ((await this.accounts.held(accountId)) === undefined) throw justChanged();
    const id = uuid();
    const { workshopId } = this.rows;
    const row = { id, workshopId, accountId, name, email: plainAddress(email), language: language ?? null, role };
    const into = this.rows.of(PersonEntity).createQueryBuilder().insert().values(row);
    const { raw } = await into.orIgnore().returning('id').execute();
    if ((raw as unknown[]).length === 0)
      throw new ProblemError(409, msg('server.notInvited'), { detail: msg('server.inAlready') });
    return id;
  }

  /** Gives one a new passphrase, and ends one's other sessions. @throws ProblemError 422 where the old one is wrong */
  async changePassphrase({ personId, sessionId }: CurrentUser, current: string, fresh: string): Promise<void> {
    const accountId = await this.accountOf(personId);
    const kept = await this.accounts.held(accountId);
    if (kept !== null && !(await this.passphrases.isRight(kept, current)))
      throw ProblemError.refused(
        msg('server.notChanged'),
        'current',
        null,
        msg('server.wrongPassphrase'),
        msg('server.typeAgain'),
      );
    await this.accounts.renew(accountId, await this.passphrases.hash(fresh), sessionId);
  }

  /** Changes what a person may do. @throws ProblemError 404; 409 where no owner would be left */
  async changeRole(id: string, role: Role): Promise<PersonView> {
    const person = await this.held(id);
    if (person.lastOwner && role !== 'owner') throw lastOwnerStays();
    await this.rows.of(PersonEntity).update({ id }, { role });
    return personView({ ...person, role });
  }

  /** A person goes: their sessions and their calendar's address end at once; what they did stays. @throws ProblemError 404; 409 where no owner would be left */
  async remove(id: string): Promise<void> {
    const { lastOwner, name } = await this.held(id);
    if (lastOwner) throw lastOwnerStays();
    await this.sessions.end(id);
    await this.rows.of(PastPersonEntity).insert({ id, workshopId: this.rows.workshopId, name });
    await this.rows.of(PersonEntity).delete({ id });
  }

  /** Holds a person and every owner, in one order: of two owners who go at once one stays. */
  private async held(id: string): Promise<PersonEntity & { readonly lastOwner: boolean }> {
    const where = [{ id }, { role: 'owner' as const }];
    const held = await this.rows.of(PersonEntity).find({ where, order: { id: 'ASC' }, lock: { mode: 'for_no_key_update' } });
    const person = held.find((one) => one.id === id);
    if (!person) throw ProblemError.notFound('person');
    return { ...person, lastOwner: person.role === 'owner' && held.length === 1 };
  } // prettier-ignore
}

const lastOwnerStays = () => new ProblemError(409, msg('server.notAllowed'), { detail: msg('server.lastOwner') });
