import { Module } from '@nestjs/common';
import { CastsModule } from '../casts/index.js';
import { SealingModule } from '../sealing/index.js';
import { ArticlesController } from './articles.controller.js';
import { ArticlesService } from './articles.service.js';

/** Assembly: casts that are joined into one article, and taken apart again. */
@Module({
  imports: [CastsModule, SealingModule],
  controllers: [ArticlesController],
  providers: [ArticlesService],
  exports: [ArticlesService],
})
export class AssemblyModule {}
