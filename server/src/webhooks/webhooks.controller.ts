import { Body, Controller, Delete, Get, HttpCode, Post } from '@nestjs/common';
import { WebhookInput, type WebhookMade, type WebhookView } from '@dewpot/contract';
import { clock } from '../clock.js';
import { Key } from '../http/key-param.js';
import { ForRole, InPerson } from '../http/request.js';
import { WebhooksService } from './webhooks.service.js';

/** Addresses that are told of what comes due. */
@ForRole('owner')
@InPerson()
@Controller('api/webhooks')
export class WebhooksController {
  constructor(private readonly webhooks: WebhooksService) {}

  /** All of them, each with what was sent to it last. */
  @Get()
  all(): Promise<WebhookView[]> {
    return this.webhooks.all();
  }

  /** Makes one. Its secret is told this once. */
  @Post()
  make(@Body() given: WebhookInput): Promise<WebhookMade> {
    return this.webhooks.make(given, clock.now());
  }

  /** Sends something to try it. */
  @Post(':id/try')
  @HttpCode(204)
  try(@Key() id: string): Promise<void> {
    return this.webhooks.try(id, clock.now());
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Key() id: string): Promise<void> {
    return this.webhooks.remove(id);
  }
}
