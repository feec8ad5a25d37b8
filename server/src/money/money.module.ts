import { Module } from '@nestjs/common';
import { CostingsService } from './costings.service.js';
import { MoneyController } from './money.controller.js';
import { SeasonService } from './season.service.js';

/** What pieces cost, and what a season made, took and spent. */
@Module({ controllers: [MoneyController], providers: [CostingsService, SeasonService] })
export class MoneyModule {}
