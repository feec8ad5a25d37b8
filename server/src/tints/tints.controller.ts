import { Body, Controller, Delete, Get, HttpCode, Post, Put, Query } from '@nestjs/common';
import {
  RecipesQuery,
  ColourReadingInput,
  SwatchInput,
  TintImport,
  TintInput,
  type ChipReading,
  type ImportView,
  type Page,
  type SwatchView,
  type TintRevisionView,
  type TintsView,
  type TintView,
} from '@dewpot/contract';
import { clock } from '../clock.js';
import { Key } from '../http/key-param.js';
import { WhileUnchanged } from '../http/unchanged.js';
import { TintFilesService } from './tint-files.service.js';
import { TintsService } from './tints.service.js';

@Controller('api/tints')
export class TintsController {
  constructor(
    private readonly tints: TintsService,
    private readonly files: TintFilesService,
  ) {}

  @WhileUnchanged({ areas: ['recipes', 'lessons', 'pours'], timeless: true })
  @Get()
  page(@Query() asked: RecipesQuery): Promise<Page<TintView>> {
    return this.tints.page(asked);
  }

  /** Every tint, and the chips that the workshop knows its pigments by. */
  @WhileUnchanged({ areas: ['recipes', 'lessons', 'pours'], timeless: true })
  @Get('all')
  all(): Promise<TintsView> {
    return this.tints.all();
  }

  /** Brings tints and chips in from a file; dry, only says what would change. */
  @Post('import')
  @HttpCode(200)
  bring(@Body() given: TintImport): Promise<ImportView> {
    return this.files.bring(given, clock.now());
  }

  @Get(':id/revisions')
  revisions(@Key() id: string): Promise<TintRevisionView[]> {
    return this.tints.revisions(id);
  }

  @Put(':id')
  save(@Key() id: string, @Body() given: TintInput): Promise<TintView> {
    return this.tints.save(id, given);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Key() id: string): Promise<void> {
    return this.tints.remove(id);
  }
}

/** Test chips. A real colour reader's bridge puts its reading as `measured`, by `reader`. */
@Controller('api/swatches')
export class SwatchesController {
  constructor(private readonly tints: TintsService) {}

  @Put(':id')
  save(@Key() id: string, @Body() given: SwatchInput): Promise<SwatchView> {
    return this.tints.saveSwatch(id, given, clock.now());
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Key() id: string): Promise<void> {
    return this.tints.removeSwatch(id);
  }

  /** Keeps what a real reader's bridge read of a chip. */
  @Post(':id/readings')
  @HttpCode(204)
  keepReading(@Key() id: string, @Body() given: ColourReadingInput): Promise<void> {
    return this.tints.keepReading(id, given, clock.now());
  }

  /** What the simulated colour reader says of a chip; nothing is kept. */
  @Post(':id/reading')
  @HttpCode(200)
  read(@Key() id: string): Promise<ChipReading> {
    return this.tints.readSwatch(id, clock.now());
  }
}
