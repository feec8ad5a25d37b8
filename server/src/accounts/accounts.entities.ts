import type { Language, UnitSystem } from '@dewpot/core/units';
import type { SessionSetup } from '@dewpot/core/calendar';
import type { MoistCuring, Waking } from '@dewpot/core/curing';
import type { MassBand } from '@dewpot/core/money';
import type { DryingSchool } from '@dewpot/core/sealing';
import type { Role, SessionKind, WeekStart } from '@dewpot/contract';
import { Column, CreateDateColumn, Entity, Index, PrimaryColumn, VersionColumn } from 'typeorm';
import { milliseconds, PartOf, WorkshopRow } from '../db/row.js';
import { stored } from '../db/stored.js';

/** How things are done where nothing else is chosen. */
interface UsualWays {
  readonly release?: string;
  readonly cover?: string;
  readonly ways?: readonly string[];
}

/** How a workshop that sells makes its prices. */
interface Pricing {
  readonly rate: number;
  readonly margin: number;
  readonly bands: readonly MassBand[];
}

/** Settings of a workshop as they are kept. */
export interface StoredSettings {
  readonly name: string;
  readonly units: UnitSystem;
  readonly currency: string;
  readonly liftLimit: number;
  readonly bucket: number;
  readonly scaleStep: number;
  readonly moistCuring?: MoistCuring;
  readonly drying?: DryingSchool;
  readonly waking?: Waking;
  readonly zone?: string;
  readonly ballastSandId?: string;
  readonly setUp?: boolean;
  readonly session?: SessionSetup;
  readonly usual?: UsualWays;
  readonly pricing?: Pricing;
  readonly weekStart?: WeekStart;
  readonly localRules?: string;
}

@Entity('workshops')
export class WorkshopEntity {
  @PrimaryColumn('uuid') id: string;
  @VersionColumn({ type: 'int' }) version: number;
  @Column(stored()) settings: StoredSettings;
  @Column('boolean', { default: false }) demo: boolean;
  /** Numbers given to pours so far. */
  @Column('int', { name: 'pours_counted', default: 0 }) poursCounted: number;
  /** When it was deleted, ms. It can be brought back for a while. */
  @Index() @Column('bigint', { name: 'removed_at', nullable: true, transformer: milliseconds }) removedAt:
    number | null;
}

/** An account in a workshop. */
@Entity('people')
@Index(['workshopId', 'accountId'], { unique: true })
export class PersonEntity extends WorkshopRow {
  @Index() @Column('uuid', { name: 'account_id' }) accountId: string;
  @Column('text') name: string;
  @Column('text') email: string;
  /** What they read in; their browser's where they chose none. */
  @Column('text', { nullable: true }) language: Language | null;
  @Column('text', { default: 'caster' }) role: Role;
}

/** Somebody who did something here and is here no more. */
@Entity('past_people')
export class PastPersonEntity extends WorkshopRow {
  @Column('text') name: string;
}

/** A way into the workshop that serves once: for somebody new, or for a person who lost their passphrase. Only the hash of its token is kept. */
@Entity('invitations')
@PartOf(() => PersonEntity, 'personId')
export class InvitationEntity extends WorkshopRow {
  @Column('uuid', { name: 'person_id', nullable: true }) personId: string | null;
  @Column('text') role: Role;
  @Index({ unique: true }) @Column('bytea', { name: 'token_hash' }) tokenHash: Buffer;
  /** The name of whoever made it. */
  @Column('text', { name: 'invited_by' }) invitedBy: string;
  @CreateDateColumn({ type: 'timestamptz', name: 'created_at' }) createdAt: Date;
  @Column('timestamptz', { name: 'expires_at' }) expiresAt: Date;
  @Column('timestamptz', { name: 'used_at', nullable: true }) usedAt: Date | null;
}

@Entity('sessions')
@PartOf(() => PersonEntity, 'personId')
export class SessionEntity extends WorkshopRow {
  @Column('uuid', { name: 'person_id' }) personId: string;
  @Index({ unique: true }) @Column('bytea', { name: 'token_hash' }) tokenHash: Buffer;
  /** Its token until it was last renewed. */
  @Index() @Column('bytea', { name: 'previous_hash', nullable: true }) previousHash: Buffer | null;
  @Column('text', { default: 'browser' }) kind: SessionKind;
  /** The browser that it is of, or what its owner called the token. */
  @Column('text', { default: '' }) label: string;
  @CreateDateColumn({ type: 'timestamptz', name: 'created_at' }) createdAt: Date;
  @Column('timestamptz', { name: 'renewed_at', default: () => 'now()' }) renewedAt: Date;
  @Column('timestamptz', { name: 'expires_at' }) expiresAt: Date;
  /** Of a script: what it may do at the most; all that its owner may where that is left out. */
  @Column('text', { nullable: true }) role: Role | null;
  /** Of a script: when it ends, however often it is used. */
  @Column('timestamptz', { name: 'ends_at', nullable: true }) endsAt: Date | null;
}
