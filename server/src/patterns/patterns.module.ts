import { Module } from '@nestjs/common';
import { PatternsController } from './patterns.controller.js';
import { PatternsService } from './patterns.service.js';

/** Patterns: boards, panels, strips and slabs to cut, with their revisions. */
@Module({ controllers: [PatternsController], providers: [PatternsService], exports: [PatternsService] })
export class PatternsModule {}
