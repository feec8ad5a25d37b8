import { Module } from '@nestjs/common';
import { PlaceSeriesCache } from './place-series-cache.js';
import { PlacesController } from './places.controller.js';
import { PlacesService } from './places.service.js';
import { ReadingMonthsService } from './reading-months.service.js';
import { ReadingsService } from './readings.service.js';
import { UsualMonthsService } from './usual-months.service.js';

/** Places, their readings, and the series of their air. */
@Module({
  controllers: [PlacesController],
  providers: [PlaceSeriesCache, PlacesService, ReadingMonthsService, ReadingsService, UsualMonthsService],
  exports: [PlaceSeriesCache, PlacesService, ReadingsService, UsualMonthsService],
})
export class AmbientModule {}
