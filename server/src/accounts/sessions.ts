import { Injectable } from '@nestjs/common';
import type { OwnSessionView, Role, SessionKind } from '@dewpot/contract';
import { DataSource, Not } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { DAY, type Language, type UnitSystem } from '@dewpot/core/units';
import { clock } from '../clock.js';
import { PersonEntity, SessionEntity } from './accounts.entities.js';
import { Accounts, justChanged } from './accounts.service.js';
import { goneBy } from './removal-time.js';
import { sessionTopic } from './session-topic.js';
import { PgNotifications } from '../db/pg-notifications.js';
import { Gathered } from '../db/gathered.js';
import { WorkshopContext } from '../db/workshop-context.js';
import type { CurrentUser, ReadsIn, Revisions } from '../http/request.js';
import { hashToken, newToken } from '../http/tokens.js';

/** A session that is not used for so long ends. */
export const SESSION_DAYS = 30;
const MOST_LABEL = 120;
/** Sessions of one person; the one that was used longest ago gives way. */
const MOST_SESSIONS = 50;

const idleEnd = () => new Date(clock.now() + SESSION_DAYS * DAY);
const earlier = (one: Date, other: Date | null) => (other && other < one ? other : one);

interface Found {
  readonly token: Buffer;
  readonly session_id: string;
  readonly person_id: string;
  readonly workshop_id: string;
  readonly kind: SessionKind;
  readonly stale: boolean;
  readonly language: Language | null;
  readonly units: UnitSystem;
  readonly currency: string;
  readonly role: Role;
  readonly person: string;
  readonly removed_at: string | null;
  readonly areas: Revisions | null;
}

/** A session of this request, and whether its token is due to be renewed. */
export interface FoundSession extends CurrentUser {
  readonly role: Role;
  readonly readsIn: ReadsIn;
  readonly kind: SessionKind;
  readonly stale: boolean;
  /** What the states of its workshop are told apart by. */
  readonly revisions: Revisions;
  /** Its workshop was deleted, and is gone for good then, ms. */
  readonly goneAt?: number;
}

const foundSession = (row: Found): FoundSession => ({
  sessionId: row.session_id,
  personId: row.person_id,
  workshopId: row.workshop_id,
  kind: row.kind,
  role: row.role,
  name: row.person,
  stale: row.stale,
  revisions: row.areas ?? {},
  ...goneBy(row.removed_at),
  readsIn: { language: row.language, units: row.units, currency: row.currency },
});

/** Who opens a session, and by which passphrase; undefined where none was asked for. */
export interface Opener {
  readonly workshopId: string;
  readonly personId: string;
  readonly passphraseHash?: string | null;
}

/** What a token of a script may do at the most, and for how many days. */
export interface TokenLimits {
  readonly role?: Role | undefined;
  readonly days?: number | undefined;
}

/** Sessions: of browsers, whose token is renewed each day, and of scripts. Only hashes of tokens are kept. */
@Injectable()
export class Sessions {
  private readonly lookups = new Gathered((hashes) => this.lookup(hashes));

  constructor(
    private readonly source: DataSource,
    private readonly rows: WorkshopContext,
    private readonly news: PgNotifications,
    private readonly accounts: Accounts,
  ) {}

  /** The session that a token belongs to, or undefined. */
  find(token: string): Promise<FoundSession | undefined> {
    return this.lookups.ask(hashToken(token).toString('hex'));
  }

  private async lookup(hashes: readonly string[]): Promise<Map<string, FoundSession>> {
    const tokens = hashes.map((hash) => Buffer.from(hash, 'hex'));
    const rows = await this.source.query<Found[]>('select * from session_lookups($1)', [tokens]);
    return new Map(rows.map((row) => [row.token.toString('hex'), foundSession(row)]));
  }

  /**
   * Opens a session; answers its token. The person is held meanwhile: whoever removes them, or changes the passphrase that was
   * given at the door, ends this session too. @throws ProblemError 401 where that was done before
   */
  async open(
    { workshopId, personId, passphraseHash }: Opener,
    kind: SessionKind,
    label: string,
    { role, days }: TokenLimits = {},
  ): Promise<string> {
    const token = newToken();
    const endsAt = days === undefined ? null : new Date(clock.now() + days * DAY);
    await this.rows.inWorkshop(workshopId, async () => {
      const person = await this.rows
        .of(PersonEntity)
        .findOne({ where: { id: personId }, lock: { mode: 'for_no_key_update' } });
      if (!person || (passphraseHash !== undefined && (await this.accounts.held(person.accountId)) !== passphraseHash))
        throw justChanged();
      await this.makeRoom(personId);
      await this.rows.of(SessionEntity).insert({
        id: uuid(),
        workshopId,
        personId,
        kind,
        label: label.slice(0, MOST_LABEL),
        tokenHash: hashToken(token),
        expiresAt: earlier(idleEnd(), endsAt),
        role: role ?? null,
        endsAt,
      });
    });
    return token;
  }

  /** Puts off the end of a session that is used; a browser's gets a new token, which is answered. The old one holds for a minute. */
  async renew({ sessionId, workshopId, kind }: FoundSession, token: string): Promise<string | undefined> {
    const fresh = kind === 'browser' ? newToken() : token;
    const old = hashToken(token);
    const { affected } = await this.rows.inWorkshop(workshopId, () =>
      this.rows.of(SessionEntity).update(
        // Of several requests at once, one renews it.
        { id: sessionId, tokenHash: old },
        {
          tokenHash: hashToken(fresh),
          previousHash: old,
          renewedAt: new Date(clock.now()),
          expiresAt: () => `least('${idleEnd().toISOString()}'::timestamptz, ends_at)`,
        },
      ),
    );
    return affected === 1 && fresh !== token ? fresh : undefined;
  }

  /** Whether a session still holds. While the database is away it is taken to. */
  async holds({ sessionId, workshopId }: Pick<CurrentUser, 'sessionId' | 'workshopId'>): Promise<boolean> {
    try {
      return await this.rows.inWorkshop(workshopId, () => this.rows.of(SessionEntity).existsBy({ id: sessionId }));
    } catch {
      return true;
    }
  }

  /** A person's own sessions, the newest first. */
  async own({ personId, sessionId }: CurrentUser): Promise<OwnSessionView[]> {
    const found = await this.rows.of(SessionEntity).find({ where: { personId }, order: { id: 'DESC' } });
    return found.map(({ id, kind, label, createdAt, renewedAt, role, endsAt }) => ({
      id,
      kind,
      label,
      createdAt: createdAt.getTime(),
      usedAt: renewedAt.getTime(),
      current: id === sessionId,
      ...(role && { role }),
      ...(endsAt && { endsAt: endsAt.getTime() }),
    }));
  }

  /** Ends sessions of a person: one, or all but one, or all. Their streams end with them, on every server. */
  async end(personId: string, which: { readonly only?: string; readonly but?: string } = {}): Promise<void> {
    const where = {
      personId,
      ...(which.only !== undefined && { id: which.only }),
      ...(which.but !== undefined && { id: Not(which.but) }),
    };
    const sessions = this.rows.of(SessionEntity);
    for (const { id } of await sessions.find({ where, select: { id: true } }))
      await this.news.tell(this.rows.manager, sessionTopic(id));
    await sessions.delete(where);
  }

  private async makeRoom(personId: string): Promise<void> {
    const sessions = this.rows.of(SessionEntity);
    const old = await sessions.find({
      where: { personId },
      order: { renewedAt: 'DESC' },
      skip: MOST_SESSIONS - 1,
      select: { id: true, renewedAt: true },
    });
    for (const { id } of old) await this.end(personId, { only: id });
  }
}
