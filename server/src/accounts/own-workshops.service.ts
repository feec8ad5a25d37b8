import { msg, type Language } from '@dewpot/core/units';
import { Injectable } from '@nestjs/common';
import type { OwnWorkshopView } from '@dewpot/contract';
import type { Speaker } from '@dewpot/locales';
import type { Request } from 'express';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import type { CurrentUser } from '../http/request.js';
import { Accounts, justChanged, type Membership } from './accounts.service.js';
import { DoorService } from './door.service.js';
import { InvitationsService } from './invitations.service.js';
import { People } from './people.service.js';
import { goneBy } from './removal-time.js';
import { Sessions } from './sessions.js';
import { WorkshopsService } from './workshops.service.js';

/** Workshops that one account is in, where it begins another. */
const MOST_WORKSHOPS = 50;

/** Who somebody is, whichever workshop they are in. */
interface Self {
  readonly account_id: string;
  readonly passphrase_hash: string | null;
  readonly name: string;
  readonly email: string;
  readonly language: Language | undefined;
}

/** The workshops of whoever is signed in, and the way from one to another: a session is of one workshop, and gives way to one of the other. */
@Injectable()
export class OwnWorkshopsService {
  constructor(
    private readonly accounts: Accounts,
    private readonly people: People,
    private readonly sessions: Sessions,
    private readonly door: DoorService,
    private readonly invitations: InvitationsService,
    private readonly workshops: WorkshopsService,
    private readonly rows: WorkshopContext,
  ) {}

  async all({ personId, workshopId }: CurrentUser): Promise<OwnWorkshopView[]> {
    const account = await this.rows.transaction(() => this.people.accountOf(personId));
    return (await this.accounts.workshopsOf(account)).map(({ workshop_id: id, name, role, removed_at }) => ({
      ...{ id, name, role },
      current: id === workshopId,
      ...goneBy(removed_at),
    }));
  }

  /** Goes to another workshop of one's own. @throws ProblemError 404 */
  async goTo(visitor: CurrentUser, workshopId: string, request: Request): Promise<void> {
    const self = await this.self(visitor);
    const there = (await this.accounts.workshopsOf(self.account_id)).find(({ workshop_id: id }) => id === workshopId);
    if (!there) throw ProblemError.notFound('workshop');
    await this.enter(visitor, self, there, request);
  }

  /** Takes up an invitation to another workshop, and goes there. @throws ProblemError 404; 409 where it is shut, or one is in there already */
  async join(visitor: CurrentUser, token: string, request: Request): Promise<void> {
    const self = await this.self(visitor);
    const there = await this.invitations.takeAs(token, self);
    await this.enter(visitor, self, there, request);
  }

  /** Founds another workshop, and goes there. @throws ProblemError 409 where there are too many */
  async found(visitor: CurrentUser, name: string, say: Speaker, request: Request): Promise<void> {
    const self = await this.self(visitor);
    if ((await this.accounts.workshopsOf(self.account_id)).length >= MOST_WORKSHOPS)
      throw new ProblemError(409, msg('server.notAllowed'), {
        detail: msg('server.manyWorkshops', { most: MOST_WORKSHOPS }),
      });
    const there = await this.workshops.foundFor(name, say, () =>
      this.people.joinAs(self.account_id, { ...self, language: say.reader.language }, 'owner'),
    );
    await this.enter(visitor, self, there, request);
  }

  /** Who one is. Whoever is out of date by the time that they enter elsewhere does not: their session must hold after their passphrase was read. */
  private async self({ personId, sessionId, workshopId }: CurrentUser): Promise<Self> {
    const self = await this.rows.transaction(async () => {
      const { name, email, accountId, language } = await this.people.reading(personId);
      const passphrase_hash = await this.accounts.held(accountId);
      return { account_id: accountId, passphrase_hash, name, email, language: language ?? undefined };
    });
    const { passphrase_hash } = self;
    if (passphrase_hash === undefined || !(await this.sessions.holds({ sessionId, workshopId }))) throw justChanged();
    return { ...self, passphrase_hash };
  }

  private async enter(
    { personId, sessionId }: CurrentUser,
    self: Self,
    there: Pick<Membership, 'workshop_id' | 'person_id'>,
    request: Request,
  ): Promise<void> {
    await this.door.open({ ...there, passphrase_hash: self.passphrase_hash }, request);
    await this.rows.transaction(() => this.sessions.end(personId, { only: sessionId }));
  }
}
