import { Body, Controller, Delete, Get, HttpCode, Post, Put } from '@nestjs/common';
import { TrialClosing, TrialInput, type TrialView } from '@dewpot/contract';
import { clock } from '../clock.js';
import { Key } from '../http/key-param.js';
import { OwnTransactions } from '../http/request.js';
import { TrialsService } from './trials.service.js';

/** What a workshop changes on purpose, to see what it does. */
@Controller('api/trials')
@OwnTransactions()
export class TrialsController {
  constructor(private readonly trials: TrialsService) {}

  @Get()
  list(): Promise<TrialView[]> {
    return this.trials.list();
  }

  @Put(':id')
  @HttpCode(204)
  save(@Key() id: string, @Body() trial: TrialInput): Promise<void> {
    return this.trials.save(id, trial);
  }

  @Post(':id/close')
  @HttpCode(204)
  close(@Key() id: string, @Body() closing: TrialClosing): Promise<void> {
    return this.trials.close(id, closing, clock.now());
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Key() id: string): Promise<void> {
    return this.trials.remove(id);
  }
}
