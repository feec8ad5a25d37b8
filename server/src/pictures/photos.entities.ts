import { Column, Entity, ForeignKey, PrimaryColumn } from 'typeorm';

/** A photo as a workshop keeps it: once, however many things it is shown with, by the checksum (SHA-256) of its largest size. */
@Entity('photos')
export class PhotoEntity {
  @ForeignKey('WorkshopEntity', { onDelete: 'CASCADE' })
  @PrimaryColumn('uuid', { name: 'workshop_id' })
  workshopId: string;
  @PrimaryColumn('bytea') sum: Buffer;
  @Column('bytea', { select: false }) large: Buffer;
  /** None until it was drawn, as of one that came with an archive. */
  @Column('bytea', { select: false, nullable: true }) medium: Buffer | null;
  @Column('bytea', { select: false, nullable: true }) small: Buffer | null;
  /** What its sizes take together. */
  @Column('int') bytes: number;
}

/** That a row shows a photo. `property` holds its checksum. A photo that nothing shows any more goes, by a trigger of the database. */
export const Shows = (property: string): ClassDecorator =>
  ForeignKey(() => PhotoEntity, ['workshopId', property], ['workshopId', 'sum']);
