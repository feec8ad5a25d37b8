import { Body, Controller, Delete, Get, HttpCode, Post, Put, Query } from '@nestjs/common';
import {
  MixImport,
  MixInput,
  RecipesQuery,
  type ImportView,
  type MixRevisionView,
  type MixView,
  type Page,
} from '@dewpot/contract';
import { Key } from '../http/key-param.js';
import { WhileUnchanged } from '../http/unchanged.js';
import { MixFilesService } from './mix-files.service.js';
import { MixesService } from './mixes.service.js';

@Controller('api/mixes')
export class MixesController {
  constructor(
    private readonly mixes: MixesService,
    private readonly files: MixFilesService,
  ) {}

  @WhileUnchanged({ areas: ['recipes', 'pours'], timeless: true })
  @Get()
  page(@Query() asked: RecipesQuery): Promise<Page<MixView>> {
    return this.mixes.page(asked);
  }

  /** Every mix: what pours are planned with, also where there is no connection. */
  @WhileUnchanged({ areas: ['recipes', 'pours'], timeless: true })
  @Get('all')
  all(): Promise<MixView[]> {
    return this.mixes.all();
  }

  /** Brings materials and mixes in from a file; dry, only says what would change. */
  @Post('import')
  @HttpCode(200)
  bring(@Body() given: MixImport): Promise<ImportView> {
    return this.files.bring(given);
  }

  @Get(':id/revisions')
  revisions(@Key() id: string): Promise<MixRevisionView[]> {
    return this.mixes.revisions(id);
  }

  @Put(':id')
  save(@Key() id: string, @Body() given: MixInput): Promise<MixView> {
    return this.mixes.save(id, given);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Key() id: string): Promise<void> {
    return this.mixes.remove(id);
  }
}
