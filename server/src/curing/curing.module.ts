import { Module } from '@nestjs/common';
import { DemouldsController } from './demould-lessons.controller.js';
import { DemouldsService } from './demould-lessons.service.js';

/** Curing: what demouldings taught of when a mould with a mix comes off. */
@Module({ controllers: [DemouldsController], providers: [DemouldsService], exports: [DemouldsService] })
export class CuringModule {}
