import { Body, Controller, Get, HttpCode, Post } from '@nestjs/common';
import { ForgottenInput, type LearnedView } from '@dewpot/contract';
import { clock } from '../clock.js';
import { OwnTransactions } from '../http/request.js';
import { LearnedService } from './learned.service.js';

/** What a workshop's own records taught. */
@Controller('api/findings/learned')
@OwnTransactions()
export class LearnedController {
  constructor(private readonly learned: LearnedService) {}

  @Get()
  view(): Promise<LearnedView> {
    return this.learned.view();
  }

  @Post('forget')
  @HttpCode(204)
  forget(@Body() asked: ForgottenInput): Promise<void> {
    return this.learned.forget(asked, clock.now());
  }

  @Post('recall')
  @HttpCode(204)
  recall(@Body() asked: ForgottenInput): Promise<void> {
    return this.learned.recall(asked);
  }
}
