import { Module } from '@nestjs/common';
import { AmbientModule } from '../ambient/index.js';
import { CuringModule } from '../curing/index.js';
import { FindingRecordsService } from './finding-records.service.js';
import { FindingsController } from './findings.controller.js';
import { FindingsService } from './findings.service.js';
import { TrialDealsService } from './trial-deals.service.js';
import { TrialsController } from './trials.controller.js';
import { TrialsService } from './trials.service.js';

/** What casts stood under, why they came out so, which ways do better, and trials of them. */
@Module({
  imports: [AmbientModule, CuringModule],
  controllers: [FindingsController, TrialsController],
  providers: [FindingRecordsService, FindingsService, TrialDealsService, TrialsService],
  exports: [TrialDealsService],
})
export class FindingsModule {}
