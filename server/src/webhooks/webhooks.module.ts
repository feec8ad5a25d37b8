import { Module } from '@nestjs/common';
import { CastsModule } from '../casts/index.js';
import { DueWatch } from './due-watch.service.js';
import { WebhookSender } from './webhook-sender.js';
import { WebhooksController } from './webhooks.controller.js';
import { WebhooksService } from './webhooks.service.js';

/** Addresses that are told of what comes due, signed and tried again. */
@Module({
  imports: [CastsModule],
  controllers: [WebhooksController],
  providers: [DueWatch, WebhookSender, WebhooksService],
})
export class WebhooksModule {}
