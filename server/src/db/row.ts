import { CreateDateColumn, PrimaryColumn, UpdateDateColumn, VersionColumn } from 'typeorm';

/** Milliseconds kept as a bigint and read as a number: exact until long after any pour. */
export const milliseconds = {
  to: (value: number | null) => value,
  from: (value: string | null) => (value === null ? null : Number(value)),
};

/** A row of a workshop. Its key is the workshop and a UUIDv7 made by whoever made the thing. */
export abstract class WorkshopRow {
  @PrimaryColumn('uuid') id: string;
  @PrimaryColumn('uuid', { name: 'workshop_id' }) workshopId: string;
}

/** A row that people edit: an edit names the version it was made on. */
export abstract class EditedRow extends WorkshopRow {
  @VersionColumn({ type: 'int' }) version: number;
  @CreateDateColumn({ type: 'timestamptz', name: 'created_at' }) createdAt: Date;
  @UpdateDateColumn({ type: 'timestamptz', name: 'updated_at' }) updatedAt: Date;
}
