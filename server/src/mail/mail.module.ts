import { Module } from '@nestjs/common';
import { MailController } from './mail.controller.js';
import { MailSender } from './mail-sender.js';
import { OutboxService } from './outbox.service.js';

/** Mails that the workshop sends. */
@Module({ controllers: [MailController], providers: [MailSender, OutboxService], exports: [OutboxService] })
export class MailModule {}
