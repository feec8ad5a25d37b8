import { Controller, Get } from '@nestjs/common';
import type { AllWaysView, CastFindings, WatchView } from '@dewpot/contract';
import { Key } from '../http/key-param.js';
import { OwnTransactions } from '../http/request.js';
import { FindingsService } from './findings.service.js';

@Controller('api/findings')
@OwnTransactions()
export class FindingsController {
  constructor(private readonly findings: FindingsService) {}

  @Get('casts/:id')
  ofCast(@Key() id: string): Promise<CastFindings> {
    return this.findings.ofCast(id);
  }

  @Get('ways')
  ways(): Promise<AllWaysView> {
    return this.findings.ways();
  }

  @Get('watch')
  watch(): Promise<WatchView> {
    return this.findings.watch();
  }
}
