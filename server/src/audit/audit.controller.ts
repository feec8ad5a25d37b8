import { Controller, Get, Query } from '@nestjs/common';
import { AuditQuery, type AuditEntryView, type Page } from '@dewpot/contract';
import { ForRole } from '../http/request.js';
import { AuditService } from './audit.service.js';

/** Who did what, and when. */
@ForRole('caster')
@Controller('api/audit')
export class AuditController {
  constructor(private readonly audit: AuditService) {}

  @Get()
  page(@Query() asked: AuditQuery): Promise<Page<AuditEntryView>> {
    return this.audit.page(asked);
  }
}
