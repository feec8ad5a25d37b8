import { Body, Controller, Delete, HttpCode, Post } from '@nestjs/common';
import { ArticleInput, type CastDetail } from '@dewpot/contract';
import { clock } from '../clock.js';
import { Key } from '../http/key-param.js';
import { CurrentUser } from '../http/request.js';
import { ArticlesService } from './articles.service.js';

/** Casts joined into one thing, which is then followed like a cast. */
@Controller('api/articles')
export class ArticlesController {
  constructor(private readonly articles: ArticlesService) {}

  @Post()
  @HttpCode(200)
  join(@Body() given: ArticleInput, @CurrentUser() { personId }: CurrentUser): Promise<CastDetail> {
    return this.articles.join(given, personId, clock.now());
  }

  @Delete(':id')
  @HttpCode(204)
  takeApart(@Key() id: string, @CurrentUser() { personId }: CurrentUser): Promise<void> {
    return this.articles.takeApart(id, personId, clock.now());
  }
}
