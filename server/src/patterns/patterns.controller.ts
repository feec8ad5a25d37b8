import { Body, Controller, Delete, Get, HttpCode, Put, Query } from '@nestjs/common';
import { PatternSheetInput, PatternsQuery, type Page, type PatternRevisionView, type PatternView } from '@dewpot/contract'; // prettier-ignore
import { Key } from '../http/key-param.js';
import { WhileUnchanged } from '../http/unchanged.js';
import { PatternsService } from './patterns.service.js';

@Controller('api/patterns')
export class PatternsController {
  constructor(private readonly patterns: PatternsService) {}

  @WhileUnchanged({ areas: ['moulds'], timeless: true })
  @Get()
  page(@Query() asked: PatternsQuery): Promise<Page<PatternView>> {
    return this.patterns.page(asked);
  }

  @Get(':id')
  one(@Key() id: string): Promise<PatternView> {
    return this.patterns.one(id);
  }

  @Get(':id/revisions')
  revisions(@Key() id: string): Promise<PatternRevisionView[]> {
    return this.patterns.revisions(id);
  }

  @Put(':id')
  save(@Key() id: string, @Body() given: PatternSheetInput): Promise<PatternView> {
    return this.patterns.save(id, given);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Key() id: string): Promise<void> {
    return this.patterns.remove(id);
  }
}
