import { Inject, Injectable, type OnModuleDestroy } from '@nestjs/common';
import { createTransport, type Transporter } from 'nodemailer';
import { CONFIG, type ServerConfig } from '../config.js';

/** How long a mail server may take for each step, ms. */
const PATIENCE = 10_000;

/** Hands mails to the mail server that the configuration names, by SMTP. */
@Injectable()
export class MailSender implements OnModuleDestroy {
  private readonly transport: Transporter | undefined;
  private readonly from: string;

  constructor(@Inject(CONFIG) { mail }: ServerConfig) {
    const times = { connectionTimeout: PATIENCE, greetingTimeout: PATIENCE, socketTimeout: PATIENCE };
    this.transport = mail && createTransport({ url: mail.server, ...times });
    this.from = mail?.from ?? '';
  }

  /** Whether a mail server is named. */
  get named(): boolean {
    return this.transport !== undefined;
  }

  /** Hands one over. @throws Error as the mail server answers, or where none is named */
  async send(mail: { readonly id: string; readonly to: string; readonly subject: string; readonly text: string }): Promise<void> {
    if (!this.transport) throw new Error('No mail server is named: start with DEWPOT_SMTP.');
    const { id, ...rest } = mail;
    // One that is sent twice has one id: whoever reads it may tell.
    await this.transport.sendMail({ from: this.from, messageId: `<${id}@dew-pot>`, ...rest });
  } // prettier-ignore

  onModuleDestroy(): void {
    this.transport?.close();
  }
}
