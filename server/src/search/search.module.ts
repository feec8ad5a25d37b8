import { Module } from '@nestjs/common';
import { SearchController } from './search.controller.js';
import { SearchService } from './search.service.js';

/** Finds things of a workshop by their names. */
@Module({ controllers: [SearchController], providers: [SearchService] })
export class SearchModule {}
