import { Controller, Get } from '@nestjs/common';
import type { AllWaysView, CastFindings, CountedFace, PourFindings, WatchView } from '@dewpot/contract';
import { Key } from '../http/key-param.js';
import { OwnTransactions } from '../http/request.js';
import { FacesService } from './faces.service.js';
import { FindingsService } from './findings.service.js';

@Controller('api/findings')
@OwnTransactions()
export class FindingsController {
  constructor(
    private readonly findings: FindingsService,
    private readonly counted: FacesService,
  ) {}

  @Get('casts/:id')
  ofCast(@Key() id: string): Promise<CastFindings> {
    return this.findings.ofCast(id);
  }

  /** Why the casts of a pour have their faults. */
  @Get('pours/:id')
  ofPour(@Key() id: string): Promise<PourFindings> {
    return this.findings.ofPour(id);
  }

  @Get('ways')
  ways(): Promise<AllWaysView> {
    return this.findings.ways();
  }

  /** Faces whose voids were counted on a photo. */
  @Get('faces')
  faces(): Promise<CountedFace[]> {
    return this.counted.all();
  }

  @Get('watch')
  watch(): Promise<WatchView> {
    return this.findings.watch();
  }
}
