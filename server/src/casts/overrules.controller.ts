import { Controller, Get } from '@nestjs/common';
import type { OverrulesView } from '@dewpot/contract';
import { SealLessonsService } from './seal-lessons.service.js';

/** Gates that were overruled, what came of it, and how far the limits have moved. */
@Controller('api/overrules')
export class OverrulesController {
  constructor(private readonly lessons: SealLessonsService) {}

  @Get()
  view(): Promise<OverrulesView> {
    return this.lessons.view();
  }
}
