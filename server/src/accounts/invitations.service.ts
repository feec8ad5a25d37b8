import { DAY, msg } from '@dewpot/core/units';
import { Injectable } from '@nestjs/common';
import type {
  InvitationInput,
  InvitationOffer,
  InvitationTaken,
  InvitationView,
  NewInvitation,
  PassphraseRenewed,
} from '@dewpot/contract';
import { DataSource, IsNull, MoreThan } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { clock } from '../clock.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import { hashToken, newToken } from '../http/tokens.js';
import { InvitationEntity } from './accounts.entities.js';
import { invitationView } from './accounts.mappers.js';
import type { Account, Entrance } from './accounts.service.js';
import { AddressTaken, People, type Newcomer } from './people.service.js';

/** Invitations of one workshop that are open at once. */
const MOST_OPEN = 50;
/** A lost passphrase is to be renewed within this, ms. */
const RENEWAL = DAY;

/** Where an invitation lies, as it is looked up before its workshop is known. */
interface Found {
  readonly id: string;
  readonly workshop_id: string;
}

/** Whether an invitation can be taken up. */
const stateOf = ({ usedAt, expiresAt }: InvitationEntity): InvitationOffer['state'] =>
  usedAt ? 'used' : expiresAt.getTime() <= clock.now() ? 'over' : 'open';

/** Those that can be taken up now. */
const isOpen = () => ({ usedAt: IsNull(), expiresAt: MoreThan(new Date(clock.now())) });

/** Ways into a workshop, each of which serves once. */
@Injectable()
export class InvitationsService {
  constructor(
    private readonly source: DataSource,
    private readonly rows: WorkshopContext,
    private readonly people: People,
  ) {}

  /** Those that nobody has taken up, the newest first. */
  async open(): Promise<InvitationView[]> {
    return (await this.rows.of(InvitationEntity).find({ where: isOpen(), order: { id: 'DESC' } })).map(invitationView);
  }

  /** Makes one for somebody new; its token is told this once. @throws ProblemError 409 where many are open */
  async invite(by: string, { role, days }: InvitationInput): Promise<NewInvitation> {
    // Two at once do not both take the last place.
    await this.rows.lockWorkshop();
    if ((await this.rows.of(InvitationEntity).countBy(isOpen())) >= MOST_OPEN)
      throw new ProblemError(409, msg('server.notInvited'), { detail: msg('server.manyInvitations', { most: MOST_OPEN }) });
    return this.make(by, { role, personId: null, expiresAt: new Date(clock.now() + days * DAY) });
  } // prettier-ignore

  /** Makes one with which a person chooses a new passphrase; one that was made before is over. @throws ProblemError 404; 409 where they are in another workshop too */
  async letRenew(by: string, personId: string): Promise<NewInvitation> {
    const { role } = await this.people.one(personId);
    await this.people.onlyHere(personId);
    await this.rows.of(InvitationEntity).delete({ personId, usedAt: IsNull() });
    return this.make(by, { role, personId, expiresAt: new Date(clock.now() + RENEWAL) });
  }

  private async make(by: string, of: Pick<InvitationEntity, 'role' | 'personId' | 'expiresAt'>): Promise<NewInvitation> {
    const token = newToken();
    const { name: invitedBy } = await this.people.one(by);
    const row = { id: uuid(), workshopId: this.rows.workshopId, tokenHash: hashToken(token), invitedBy, ...of };
    await this.rows.of(InvitationEntity).insert(row);
    return { ...invitationView(row), token };
  } // prettier-ignore

  /** Takes one back. @throws ProblemError 404 */
  async takeBack(id: string): Promise<void> {
    const { affected } = await this.rows.of(InvitationEntity).delete({ id, usedAt: IsNull() });
    if (affected === 0) throw ProblemError.notFound('invitation');
  }

  /** What one offers to whoever has its token. @throws ProblemError 404 */
  async offer(token: string): Promise<InvitationOffer> {
    const { id, workshop_id: workshopId } = await this.find(token);
    return this.rows.inWorkshop(workshopId, async () => {
      const row = await this.rows.of(InvitationEntity).findOneBy({ id });
      if (!row) throw ProblemError.notFound('invitation');
      const { settings } = await this.rows.workshop();
      const person = row.personId === null ? {} : { person: (await this.people.one(row.personId)).name };
      return { workshop: settings.name, invitedBy: row.invitedBy, role: row.role, state: stateOf(row), ...person };
    });
  }

  /**
   * Somebody takes one up: with a new account, or with the one that they have by its passphrase.
   * @throws ProblemError 404; 409 where it was taken up, is over, the passphrase is another one, or they are in already
   */
  async take({ token, language, ...given }: InvitationTaken): Promise<Entrance> {
    const person = await this.people.hashed(given);
    // Asked before the transaction opens, since it takes its time.
    const known = await this.people.known(given.email, given.passphrase);
    return this.joinBy(token, async (row) => {
      const person_id = known
        ? await this.people.joinAs(known.account_id, { ...given, language }, row.role)
        : await this.join({ ...person, language }, row, given.email);
      return { person_id, passphrase_hash: known?.passphrase_hash ?? person.passphraseHash };
    });
  }

  /** Whoever is signed in takes one up with their own account. @throws ProblemError 404; 409 where it is shut, or they are in already */
  takeAs(token: string, { account_id, ...person }: Newcomer & Pick<Account, 'account_id' | 'passphrase_hash'>): Promise<Entrance> {
    return this.joinBy(token, async ({ role }) => ({
      person_id: await this.people.joinAs(account_id, person, role),
      passphrase_hash: person.passphrase_hash,
    }));
  } // prettier-ignore

  /** A person who lost their passphrase has a new one; their sessions end. @throws ProblemError 404; 409 where it was used or is over */
  async renew({ token, passphrase }: PassphraseRenewed): Promise<Entrance> {
    const passphrase_hash = await this.people.hash(passphrase);
    return this.use(token, async ({ personId: person_id }) => {
      if (person_id === null) throw ProblemError.notFound('invitation');
      await this.people.renewPassphrase(person_id, passphrase_hash);
      return { person_id, passphrase_hash };
    });
  }

  /** Uses one that is for somebody new, and not for a new passphrase. */
  private joinBy(token: string, join: (row: InvitationEntity) => Promise<Omit<Entrance, 'workshop_id'>>): Promise<Entrance> {
    return this.use(token, (row) => {
      if (row.personId !== null) throw ProblemError.notFound('invitation');
      return join(row);
    });
  } // prettier-ignore

  /** Uses one that is open: of two at once, one. */
  private async use(token: string, into: (row: InvitationEntity) => Promise<Omit<Entrance, 'workshop_id'>>): Promise<Entrance> {
    const { id, workshop_id } = await this.find(token);
    return this.rows.inWorkshop(workshop_id, async () => {
      const row = await this.rows.of(InvitationEntity).findOne({ where: { id }, lock: { mode: 'pessimistic_write' } });
      if (!row) throw ProblemError.notFound('invitation');
      const state = stateOf(row);
      if (state !== 'open') throw new ProblemError(409, msg('server.notInvited'), { detail: msg('server.invitationShut', { state }) });
      const account = await into(row);
      await this.rows.of(InvitationEntity).update({ id }, { usedAt: new Date(clock.now()) });
      return { workshop_id, ...account };
    });
  } // prettier-ignore

  private async join(person: Parameters<People['join']>[0], { role }: InvitationEntity, email: string): Promise<string> {
    try {
      return await this.people.join(person, role);
    } catch (error) {
      if (!(error instanceof AddressTaken)) throw error;
      const remedy = msg('server.anotherAddress');
      throw new ProblemError(409, msg('server.taken'), {
        detail: remedy,
        errors: [{ field: 'email', value: email, message: msg('server.someoneHasAddress'), remedy }],
      });
    }
  } // prettier-ignore

  private async find(token: string): Promise<Found> {
    const [found] = await this.source.query<Found[]>('select * from invitation_lookup($1)', [hashToken(token)]);
    if (!found) throw ProblemError.notFound('invitation');
    return found;
  }
}
