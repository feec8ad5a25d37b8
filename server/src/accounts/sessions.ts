import { createHash, randomBytes } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { hash, verify } from 'argon2';
import { DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { PersonEntity, SessionEntity, WorkshopEntity } from '../db/entities.js';
import { Rows } from '../db/rows.js';
import { ProblemError } from '../http/problem-error.js';
import type { Visitor } from '../http/request.js';

export const SESSION_DAYS = 30;

const hashToken = (token: string) => createHash('sha256').update(token).digest();
/** Checked against where no such person is, so that the answer takes as long. */
const decoy = hash('nobody has this passphrase');

interface Door {
  readonly workshop_id: string;
  readonly person_id: string;
  readonly passphrase_hash: string | null;
}

interface NewWorkshop {
  readonly settings: WorkshopEntity['settings'];
  readonly demo?: boolean;
}

/** A person without a passphrase comes in by the demo's door alone. */
interface NewPerson {
  readonly name: string;
  readonly email: string;
  readonly passphrase?: string;
}

/** Sessions and the doors to them. The look-ups that come before a workshop is known are functions of the database. */
@Injectable()
export class Sessions {
  constructor(
    private readonly source: DataSource,
    private readonly rows: Rows,
  ) {}

  /** Visitor that a cookie's token belongs to, or undefined. */
  async visitor(token: string): Promise<Visitor | undefined> {
    const found = await this.source.query<{ session_id: string; person_id: string; workshop_id: string }[]>(
      'select * from session_lookup($1)',
      [hashToken(token)],
    );
    const row = found[0];
    return row && { sessionId: row.session_id, personId: row.person_id, workshopId: row.workshop_id };
  }

  /** Opens a session by e-mail and passphrase; answers its token. @throws ProblemError 401 */
  async signIn(email: string, passphrase: string): Promise<string> {
    const [door] = await this.source.query<Door[]>('select * from sign_in_lookup($1)', [email.trim().toLowerCase()]);
    const right = await verify(door?.passphrase_hash ?? (await decoy), passphrase);
    if (!door?.passphrase_hash || !right) {
      throw new ProblemError(401, 'That did not open', {
        detail: 'E-mail and passphrase do not belong together. Check both and try again.',
      });
    }
    return this.open(door.workshop_id, door.person_id);
  }

  /** Opens a session in the demo workshop; answers its token. @throws ProblemError 404 where there is none. */
  async enterDemo(): Promise<string> {
    const door = await this.demoDoor();
    if (!door) throw ProblemError.notFound('demo workshop');
    return this.open(door.workshop_id, door.person_id);
  }

  async demoDoor(): Promise<Door | undefined> {
    const [door] = await this.source.query<Door[]>('select * from demo_lookup()');
    return door;
  }

  /** Makes a workshop with its first person; answers their ids. @throws ProblemError 409 where the e-mail is taken */
  async register(given: NewPerson & NewWorkshop) {
    const workshopId = uuid();
    const personId = await this.rows.inWorkshop(workshopId, () => this.found(given));
    return { workshopId, personId };
  }

  /** Founds the workshop at hand, in its transaction; answers the id of its first person. */
  async found({ settings, demo = false, ...person }: NewPerson & NewWorkshop): Promise<string> {
    await this.rows.of(WorkshopEntity).insert({ id: this.rows.workshopId, settings, demo });
    return this.join(person);
  }

  /** Lets a person into the workshop at hand; answers their id. @throws ProblemError 409 where the e-mail is taken */
  async join({ name, email, passphrase }: NewPerson): Promise<string> {
    const address = email.trim().toLowerCase();
    const [taken] = await this.source.query<Door[]>('select * from sign_in_lookup($1)', [address]);
    if (taken) {
      const remedy = 'Sign in with it, or use another address.';
      throw new ProblemError(409, 'Taken already', {
        detail: remedy,
        errors: [{ field: 'email', value: address, message: 'Someone has this address already.', remedy }],
      });
    }
    const id = uuid();
    const passphraseHash = passphrase === undefined ? null : await hash(passphrase);
    const { workshopId } = this.rows;
    await this.rows.of(PersonEntity).insert({ id, workshopId, name, email: address, passphraseHash });
    return id;
  }

  /** Opens a session; answers the token for its cookie. Only its hash is kept. */
  async open(workshopId: string, personId: string): Promise<string> {
    const token = randomBytes(32).toString('base64url');
    const expiresAt = new Date(Date.now() + SESSION_DAYS * 24 * 3_600_000);
    await this.rows.inWorkshop(workshopId, () =>
      this.rows.of(SessionEntity).insert({ id: uuid(), workshopId, personId, tokenHash: hashToken(token), expiresAt }),
    );
    return token;
  }

  async close(visitor: Visitor): Promise<void> {
    await this.rows.of(SessionEntity).delete({ id: visitor.sessionId });
  }
}
