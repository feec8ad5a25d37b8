import { Module } from '@nestjs/common';
import { AmbientModule } from '../ambient/index.js';
import { CuringModule } from '../curing/index.js';
import { LessonsModule } from '../lessons/index.js';
import { SealingModule } from '../sealing/index.js';
import { FacesService } from './faces.service.js';
import { FindingRecordsService } from './finding-records.service.js';
import { FindingsController } from './findings.controller.js';
import { FindingsService } from './findings.service.js';
import { KeptWaysService } from './kept-ways.service.js';
import { LearnedController } from './learned.controller.js';
import { LearnedService } from './learned.service.js';
import { TrialDealsService } from './trial-deals.service.js';
import { TrialsController } from './trials.controller.js';
import { TrialsService } from './trials.service.js';

/** What casts stood under, why they came out so, which ways do better, and trials of them. */
@Module({
  imports: [AmbientModule, CuringModule, LessonsModule, SealingModule],
  controllers: [FindingsController, LearnedController, TrialsController],
  providers: [
    FacesService,
    FindingRecordsService,
    FindingsService,
    KeptWaysService,
    LearnedService,
    TrialDealsService,
    TrialsService,
  ],
  exports: [TrialDealsService],
})
export class FindingsModule {}
