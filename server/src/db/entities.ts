import type { CastEvent, Expected, Life, PourPart, RunEvent, RunLesson, Stage } from '@dewpot/core';
import type {
  CastSnapshot,
  CopyCondition,
  DrySummary,
  MixBody,
  MouldBody,
  PourInput,
  PourStatus,
  ScaleState,
  SessionKind,
  SwatchBody,
  TintBody,
  TubView,
  WorkshopSettings,
} from '@dewpot/contract';
import { Column, CreateDateColumn, Entity, Index, PrimaryColumn, UpdateDateColumn, VersionColumn } from 'typeorm';
import {
  AirAsideEntity,
  AirReadingEntity,
  CalendarKeyEntity,
  CastPictureEntity,
  DemouldLessonEntity,
  PlaceEntity,
} from './curing-entities.js';
import { SealLessonEntity, TrialTileEntity } from './sealing-entities.js';
import { FindingAsideEntity } from './judging-entities.js';
import { EditedRow, milliseconds, WorkshopRow } from './row.js';

@Entity('workshops')
export class WorkshopEntity {
  @PrimaryColumn('uuid') id: string;
  @VersionColumn({ type: 'int' }) version: number;
  @Column('jsonb') settings: Omit<WorkshopSettings, 'version'>;
  @Column('boolean', { default: false }) demo: boolean;
  /** Numbers given to pours so far. */
  @Column('int', { name: 'pours_counted', default: 0 }) poursCounted: number;
}

@Entity('people')
export class PersonEntity extends WorkshopRow {
  @Column('text') name: string;
  @Index({ unique: true }) @Column('text') email: string;
  @Column('text', { name: 'passphrase_hash', nullable: true }) passphraseHash: string | null;
  /** Founded the workshop: may remove others. */
  @Column('boolean', { default: false }) owner: boolean;
}

@Entity('sessions')
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
}

@Entity('moulds')
export class MouldEntity extends EditedRow {
  @Column('text') name: string;
  @Column('jsonb') body: MouldBody;
  /** Times that it was filled, whichever copy. */
  @Column('int', { default: 0 }) cycles: number;
}

@Entity('mould_copies')
export class MouldCopyEntity extends WorkshopRow {
  @Index() @Column('uuid', { name: 'mould_id' }) mouldId: string;
  @Column('text') mark: string;
  @Column('int', { default: 0 }) cycles: number;
  @Column('text', { default: 'good' }) condition: CopyCondition;
  @Column('text', { default: '' }) note: string;
  @Column('boolean', { default: false }) retired: boolean;
  @Column('text', { name: 'last_colour', nullable: true }) lastColour: string | null;
  @Column('bigint', { name: 'washed_at', nullable: true, transformer: milliseconds }) washedAt: number | null;
}

@Entity('mould_pictures')
export class MouldPictureEntity extends WorkshopRow {
  @Index() @Column('uuid', { name: 'mould_id' }) mouldId: string;
  @Column('text') caption: string;
  @Column('int') width: number;
  @Column('int') height: number;
  @Column('bytea', { select: false }) image: Buffer;
}

@Entity('tubs')
export class TubEntity extends EditedRow {
  @Column('text') name: string;
  @Column('jsonb') body: Pick<TubView, 'inside' | 'wall'>;
}

@Entity('materials')
export class MaterialEntity extends EditedRow {
  @Column('text') name: string;
  @Column('jsonb') body: object;
}

@Entity('lots')
export class LotEntity extends EditedRow {
  @Index() @Column('uuid', { name: 'material_id' }) materialId: string;
  @Column('double precision') bought: number;
  @Column('double precision') left: number;
  @Column('double precision') price: number;
  @Column('bigint', { name: 'bought_at', transformer: milliseconds }) boughtAt: number;
  @Column('bigint', { name: 'opened_at', nullable: true, transformer: milliseconds }) openedAt: number | null;
  @Column('int', { default: 1 }) bags: number;
  @Column('boolean', { default: false }) lumpy: boolean;
}

@Entity('scoops')
export class ScoopEntity extends EditedRow {
  @Column('text') name: string;
  @Column('double precision') volume: number;
  @Column('double precision', { nullable: true }) heaped: number | null;
}

@Entity('mixes')
export class MixEntity extends EditedRow {
  @Column('text') name: string;
  @Column('jsonb') body: MixBody;
  /** Counts the versions of the recipe: one that was poured never changes. */
  @Column('int', { default: 1 }) revision: number;
}

/** A version of a recipe, as it was. */
export abstract class RevisionRow<Body extends object> extends WorkshopRow {
  @Column('int') revision: number;
  @Column('text') name: string;
  @Column('jsonb') body: Body;
  @UpdateDateColumn({ type: 'timestamptz', name: 'made_at' }) madeAt: Date;
  /** The recipe that it is a version of. */
  abstract of: string;
}

@Entity('mix_revisions')
@Index(['workshopId', 'of', 'revision'], { unique: true })
export class MixRevisionEntity extends RevisionRow<MixBody> {
  @Column('uuid', { name: 'mix_id' }) of: string;
}

@Entity('tints')
export class TintEntity extends EditedRow {
  @Column('text') name: string;
  @Column('jsonb') body: TintBody;
  @Column('int', { default: 1 }) revision: number;
}

@Entity('tint_revisions')
@Index(['workshopId', 'of', 'revision'], { unique: true })
export class TintRevisionEntity extends RevisionRow<TintBody> {
  @Column('uuid', { name: 'tint_id' }) of: string;
}

@Entity('swatches')
export class SwatchEntity extends EditedRow {
  @Column('text') name: string;
  @Column('jsonb') body: SwatchBody;
}

/** What a pour took from a lot, g. */
export interface Taken {
  readonly lotId: string;
  readonly mass: number;
}

@Entity('pours')
export class PourEntity extends EditedRow {
  @Column('int') number: number;
  @Column('text') status: PourStatus;
  @Column('jsonb') input: Omit<PourInput, 'version'>;
  @Column('jsonb') parts: readonly PourPart[];
  @Column('jsonb', { nullable: true }) taken: readonly Taken[] | null;
  @Column('uuid', { name: 'finished_by', nullable: true }) finishedBy: string | null;
  @Column('jsonb', { nullable: true }) lessons: readonly RunLesson[] | null;
  @Column('bigint', { name: 'started_at', nullable: true, transformer: milliseconds }) startedAt: number | null;
  @Column('bigint', { name: 'poured_at', nullable: true, transformer: milliseconds }) pouredAt: number | null;
}

/** What the events of a cast come to, kept with its row. */
export interface CastProjection {
  readonly life: Life;
  readonly dry: DrySummary;
}

/** Something that happened in a pour at the bench; appended, never changed. */
@Entity('run_events')
export class RunEventEntity extends WorkshopRow {
  @Index() @Column('uuid', { name: 'pour_id' }) pourId: string;
  @Column('uuid', { name: 'person_id', nullable: true }) personId: string | null;
  @Column('jsonb') event: RunEvent;
  @CreateDateColumn({ type: 'timestamptz', name: 'recorded_at', default: () => 'clock_timestamp()' })
  recordedAt: Date;
}

/** The bench scale of a workshop: what lies on the simulated one, and what a real one's bridge posted last. */
@Entity('bench_scales')
export class BenchScaleEntity extends WorkshopRow {
  @Column('jsonb') state: ScaleState;
}

@Entity('casts')
export class CastEntity extends WorkshopRow {
  @Index() @Column('uuid', { name: 'pour_id' }) pourId: string;
  @Index() @Column('uuid', { name: 'mould_id' }) mouldId: string;
  @Column('text') code: string;
  @Index() @Column('text') stage: Stage;
  @Column('jsonb') snapshot: CastSnapshot;
  @Column('jsonb') expected: Expected;
  @Column('jsonb') projection: CastProjection;
  /** Of one that is out: when something is due to it. */
  @Index() @Column('bigint', { name: 'wakes_at', nullable: true, transformer: milliseconds }) wakesAt: number | null;
}

@Entity('cast_events')
export class CastEventEntity extends WorkshopRow {
  @Index() @Column('uuid', { name: 'cast_id' }) castId: string;
  @Column('uuid', { name: 'person_id', nullable: true }) personId: string | null;
  @Column('jsonb') event: CastEvent;
  @CreateDateColumn({ type: 'timestamptz', name: 'recorded_at' }) recordedAt: Date;
}

export const entities = [
  WorkshopEntity,
  PersonEntity,
  SessionEntity,
  MouldEntity,
  MouldCopyEntity,
  MouldPictureEntity,
  TubEntity,
  MaterialEntity,
  LotEntity,
  ScoopEntity,
  MixEntity,
  MixRevisionEntity,
  TintEntity,
  TintRevisionEntity,
  SwatchEntity,
  PourEntity,
  CastEntity,
  CastEventEntity,
  RunEventEntity,
  BenchScaleEntity,
  CastPictureEntity,
  PlaceEntity,
  AirAsideEntity,
  AirReadingEntity,
  DemouldLessonEntity,
  CalendarKeyEntity,
  SealLessonEntity,
  FindingAsideEntity,
  TrialTileEntity,
];

export * from './sealing-entities.js';
export * from './judging-entities.js';
export * from './curing-entities.js';
export { EditedRow } from './row.js';
