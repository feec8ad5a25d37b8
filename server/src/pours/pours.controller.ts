import { Body, Controller, Delete, Get, HttpCode, Post, Put, Query } from '@nestjs/common';
import {
  PourFinish,
  PourInput,
  PoursQuery,
  RunEventsInput,
  type Page,
  type PastPoursView,
  type PourRow,
  type PourView,
  type RunView,
} from '@dewpot/contract';
import { clock } from '../clock.js';
import { Key } from '../http/key-param.js';
import { OwnTransactions, CurrentUser, ForRole } from '../http/request.js';
import { WhileUnchanged } from '../http/unchanged.js';
import { PoursService } from './pours.service.js';
import { RunsService } from './runs.service.js';

@Controller('api/pours')
export class PoursController {
  constructor(
    private readonly pours: PoursService,
    private readonly runs: RunsService,
  ) {}

  @WhileUnchanged({ timeless: true })
  @Get()
  page(@Query() asked: PoursQuery): Promise<Page<PourRow>> {
    return this.pours.page(asked);
  }

  /** What earlier pours tell the next one: what they taught, and how they were made. */
  @WhileUnchanged({ timeless: true })
  @Get('past')
  @OwnTransactions()
  past(): Promise<PastPoursView> {
    return this.pours.past();
  }

  @WhileUnchanged({ timeless: true })
  @Get(':id')
  one(@Key() id: string): Promise<PourView> {
    return this.pours.one(id);
  }

  @Put(':id')
  @OwnTransactions()
  save(@Key() id: string, @Body() given: PourInput): Promise<PourView> {
    return this.pours.save(id, given);
  }

  @Post(':id/start')
  @HttpCode(200)
  start(@Key() id: string): Promise<PourView> {
    return this.pours.start(id, clock.now());
  }

  @ForRole('helper')
  @Post(':id/finish')
  @HttpCode(200)
  @OwnTransactions()
  finish(@Key() id: string, @Body() given: PourFinish, @CurrentUser() { personId }: CurrentUser): Promise<PourView> {
    return this.pours.finish(id, given, personId, clock.now());
  }

  /** All that happened in a pour at the bench. */
  @Get(':id/run')
  async run(@Key() id: string): Promise<RunView> {
    await this.pours.one(id);
    return this.runs.of(id);
  }

  /** Adds what happened at the bench. Sent twice, it is taken once. */
  @ForRole('helper')
  @Post(':id/run')
  @HttpCode(200)
  @OwnTransactions()
  happened(
    @Key() id: string,
    @Body() { events }: RunEventsInput,
    @CurrentUser() { personId }: CurrentUser,
  ): Promise<RunView> {
    return this.runs.add(id, events, personId, clock.now());
  }

  @Post(':id/undo')
  @HttpCode(200)
  undo(@Key() id: string): Promise<PourView> {
    return this.pours.undo(id);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Key() id: string): Promise<void> {
    return this.pours.remove(id);
  }
}
