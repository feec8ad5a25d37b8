import { DAY, msg } from '@dewpot/core/units';
import { Injectable } from '@nestjs/common';
import type {
  InvitationInput,
  InvitationOffer,
  InvitationTaken,
  InvitationView,
  NewInvitation,
} from '@dewpot/contract';
import { DataSource, IsNull, MoreThan } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import { hashToken, newToken } from '../http/tokens.js';
import { InvitationEntity } from './accounts.entities.js';
import { invitationView } from './accounts.mappers.js';
import { AddressTaken, People, type Account } from './people.service.js';

/** Invitations of one workshop that are open at once. */
const MOST_OPEN = 50;

/** Where an invitation lies, as it is looked up before its workshop is known. */
interface Found {
  readonly id: string;
  readonly workshop_id: string;
}

/** Whether an invitation can be taken up. */
const stateOf = ({ usedAt, expiresAt }: InvitationEntity): InvitationOffer['state'] =>
  usedAt ? 'used' : expiresAt.getTime() <= Date.now() ? 'over' : 'open';

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
    const where = { usedAt: IsNull(), expiresAt: MoreThan(new Date()) };
    return (await this.rows.of(InvitationEntity).find({ where, order: { id: 'DESC' } })).map(invitationView);
  }

  /** Makes one; its token is told this once. @throws ProblemError 409 where many are open */
  async invite(personId: string, { role, days }: InvitationInput): Promise<NewInvitation> {
    if ((await this.open()).length >= MOST_OPEN)
      throw new ProblemError(409, msg('server.notInvited'), { detail: msg('server.manyInvitations', { most: MOST_OPEN }) });
    const token = newToken();
    const { name: invitedBy } = await this.people.one(personId);
    const { workshopId } = this.rows;
    const row = { id: uuid(), workshopId, role, tokenHash: hashToken(token), invitedBy, expiresAt: new Date(Date.now() + days * DAY) };
    await this.rows.of(InvitationEntity).insert(row);
    return { id: row.id, role, invitedBy, expiresAt: row.expiresAt.getTime(), token };
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
      return { workshop: settings.name, invitedBy: row.invitedBy, role: row.role, state: stateOf(row) };
    });
  }

  /** Somebody new takes one up: of two at once, one. @throws ProblemError 404; 409 where it was taken up, is over, or the address is somebody's */
  async take({ token, language, ...given }: InvitationTaken): Promise<Account> {
    const { id, workshop_id } = await this.find(token);
    const person = await this.people.hashed(given);
    return this.rows.inWorkshop(workshop_id, async () => {
      const row = await this.rows.of(InvitationEntity).findOne({ where: { id }, lock: { mode: 'pessimistic_write' } });
      if (!row) throw ProblemError.notFound('invitation');
      const state = stateOf(row);
      if (state !== 'open') throw new ProblemError(409, msg('server.notInvited'), { detail: msg('server.invitationShut', { state }) });
      const person_id = await this.join({ ...person, language }, row, given.email);
      await this.rows.of(InvitationEntity).update({ id }, { usedAt: new Date() });
      return { workshop_id, person_id, passphrase_hash: person.passphraseHash };
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
