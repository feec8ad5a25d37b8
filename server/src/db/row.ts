import { Column, CreateDateColumn, ForeignKey, PrimaryColumn, UpdateDateColumn, VersionColumn } from 'typeorm';
import { stored } from './stored.js';

/** Milliseconds kept as a bigint and read as a number: exact until long after any pour. */
export const milliseconds = {
  to: (value: number | null) => value,
  from: (value: string | null) => (value === null ? null : Number(value)),
};

/**
 * A row of a workshop, gone with it. Its key is the workshop and a UUIDv7 made by whoever made the thing: the workshop stands first
 * in keys and in references, so that tables can be spread over machines by it.
 */
export abstract class WorkshopRow {
  @PrimaryColumn('uuid') id: string;
  @ForeignKey('WorkshopEntity', { onDelete: 'CASCADE' })
  @PrimaryColumn('uuid', { name: 'workshop_id' })
  workshopId: string;
}

/** That a row is of another one of its workshop, and gone with it. `property` holds the other's id. */
export const PartOf = (other: () => new () => WorkshopRow, property: string): ClassDecorator =>
  ForeignKey(other, ['workshopId', property], ['workshopId', 'id'], { onDelete: 'CASCADE' });

/** A row that people edit: an edit names the version it was made on. */
export abstract class EditedRow extends WorkshopRow {
  @VersionColumn({ type: 'int' }) version: number;
  @CreateDateColumn({ type: 'timestamptz', name: 'created_at' }) createdAt: Date;
  @UpdateDateColumn({ type: 'timestamptz', name: 'updated_at' }) updatedAt: Date;
}

/** A version of a recipe, as it was. */
export abstract class RevisionRow<Body extends object> extends WorkshopRow {
  @Column('int') revision: number;
  @Column('text') name: string;
  @Column(stored()) body: Body;
  @UpdateDateColumn({ type: 'timestamptz', name: 'made_at' }) madeAt: Date;
  /** The recipe that it is a version of. */
  abstract of: string;
}
