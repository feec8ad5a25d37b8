import { Column, Entity, Index } from 'typeorm';
import { milliseconds, WorkshopRow } from '../db/row.js';

/** A mail that goes out, or that is kept where no mail server is named. What it says is forgotten once it is sent: it may hold a way in. */
@Entity('mails')
@Index(['workshopId', 'madeAt', 'id'])
export class MailEntity extends WorkshopRow {
  @Column('text') to: string;
  @Column('text') subject: string;
  @Column('text', { nullable: true }) text: string | null;
  /** Kept here, since no mail server was named when it was written. */
  @Column('boolean') kept: boolean;
  /** ms */
  @Column('bigint', { name: 'made_at', transformer: milliseconds }) madeAt: number;
  @Column('bigint', { name: 'sent_at', nullable: true, transformer: milliseconds }) sentAt: number | null;
  /** What the mail server answered last. */
  @Column('text', { nullable: true }) error: string | null;
}
