import { Controller, Get, Query } from '@nestjs/common';
import { PageQuery, type MailView, type Page } from '@dewpot/contract';
import { ForRole, InPerson } from '../http/request.js';
import { OutboxService } from './outbox.service.js';

/** What the workshop mailed. A mail may hold a way in: owners alone read it. */
@ForRole('owner')
@InPerson()
@Controller('api/mails')
export class MailController {
  constructor(private readonly outbox: OutboxService) {}

  @Get()
  page(@Query() asked: PageQuery): Promise<Page<MailView>> {
    return this.outbox.page(asked);
  }
}
