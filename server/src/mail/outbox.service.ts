import { DAY } from '@dewpot/core/units';
import { Injectable, type OnModuleInit } from '@nestjs/common';
import type { MailState, MailView, Page, PageQuery } from '@dewpot/contract';
import { LessThan } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { clock } from '../clock.js';
import { pageOf, withWords } from '../db/page.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { Jobs } from '../jobs/jobs.service.js';
import { whyFailed } from '../jobs/why-failed.js';
import { MailEntity } from './mail.entities.js';
import { MailSender } from './mail-sender.js';

/** Mails are forgotten after this, ms. */
const KEPT_FOR = 30 * DAY;

/** A mail that is to go out. */
export interface Mail {
  readonly to: string;
  readonly subject: string;
  readonly text: string;
}

/** The mails of a workshop. One is written in the transaction of its cause, and sent after it; without a mail server it is kept for its owners to read. */
@Injectable()
export class OutboxService implements OnModuleInit {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly jobs: Jobs,
    private readonly sender: MailSender,
  ) {}

  onModuleInit(): void {
    // Those that were sent are not sent again.
    this.jobs.doesEach('send-mail', ({ workshopId, id }) => this.send(workshopId, id));
  }

  /** Writes a mail; answers how far it is. */
  async post(mail: Mail): Promise<MailState> {
    const mails = this.rows.of(MailEntity);
    const id = uuid();
    const { workshopId } = this.rows;
    const madeAt = clock.now();
    await mails.delete({ madeAt: LessThan(madeAt - KEPT_FOR) });
    const row = { id, workshopId, ...mail, kept: !this.sender.named, madeAt, sentAt: null, error: null };
    await mails.insert(row);
    if (!row.kept) await this.jobs.ask('send-mail', { workshopId, id });
    return stateOf(row);
  }

  /** A page of mails, the newest first. */
  async page({ q, ...page }: PageQuery): Promise<Page<MailView>> {
    const query = this.rows.of(MailEntity).createQueryBuilder('row');
    withWords(query, q, ['row.to', 'row.subject']);
    const found = await pageOf(query, { by: 'row.made_at', type: 'bigint', down: true }, page);
    return { ...found, rows: found.rows.map(mailView) };
  }

  /** Sends one that was not sent; answers why it was not. */
  private async send(workshopId: string, id: string): Promise<string | undefined> {
    const mail = await this.rows.inWorkshop(workshopId, () => this.rows.of(MailEntity).findOneBy({ id }));
    // Forgotten, or sent by another try of the same job.
    if (!mail || mail.text === null) return undefined;
    const error = await this.sender.send({ ...mail, text: mail.text }).then(() => undefined, whyFailed);
    const ended = error === undefined ? { sentAt: clock.now(), text: null, error: null } : { error };
    await this.rows.inWorkshop(workshopId, () => this.rows.of(MailEntity).update({ id }, ended));
    return error;
  }
}

const stateOf = ({ kept, sentAt, error }: Pick<MailEntity, 'kept' | 'sentAt' | 'error'>): MailState =>
  kept ? 'kept' : sentAt !== null ? 'sent' : error === null ? 'waiting' : 'failing';

const mailView = (mail: MailEntity): MailView => ({
  ...{ id: mail.id, to: mail.to, subject: mail.subject, madeAt: mail.madeAt, state: stateOf(mail) },
  ...(mail.text !== null && { text: mail.text }),
  ...(mail.error !== null && { error: mail.error }),
});
