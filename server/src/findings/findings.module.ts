import { Module } from '@nestjs/common';
import { AmbientModule } from '../ambient/index.js';
import { CuringModule } from '../curing/index.js';
import { FindingRecordsService } from './finding-records.service.js';
import { FindingsController } from './findings.controller.js';
import { FindingsService } from './findings.service.js';

/** What casts stood under, why they came out so, and which ways do better. */
@Module({
  imports: [AmbientModule, CuringModule],
  controllers: [FindingsController],
  providers: [FindingRecordsService, FindingsService],
})
export class FindingsModule {}
