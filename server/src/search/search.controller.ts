import { Controller, Get, Query } from '@nestjs/common';
import { SearchQuery, type SearchHit } from '@dewpot/contract';
import { SearchService } from './search.service.js';

/** One search over everything in a workshop. */
@Controller('api/search')
export class SearchController {
  constructor(private readonly search: SearchService) {}

  /** Moulds, mixes, tints, materials, places, pours and casts by their names. */
  @Get()
  find(@Query() { words }: SearchQuery): Promise<SearchHit[]> {
    return this.search.find(words);
  }
}
