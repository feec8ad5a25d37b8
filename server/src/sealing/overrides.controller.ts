import { Controller, Get } from '@nestjs/common';
import type { OverridesView } from '@dewpot/contract';
import { SealLessonsService } from './seal-lessons.service.js';

/** Gates that were overridden, what came of it, and how far the limits have moved. */
@Controller('api/overrides')
export class OverridesController {
  constructor(private readonly lessons: SealLessonsService) {}

  @Get()
  view(): Promise<OverridesView> {
    return this.lessons.view();
  }
}
