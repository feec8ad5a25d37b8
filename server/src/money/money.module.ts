import { Module } from '@nestjs/common';
import { SeasonController } from './season.controller.js';
import { SeasonService } from './season.service.js';

/** What a season made, took and cost. */
@Module({ controllers: [SeasonController], providers: [SeasonService] })
export class MoneyModule {}
