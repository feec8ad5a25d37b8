import { Body, Controller, Delete, Get, Headers, HttpCode, Post, Put, Query } from '@nestjs/common';
import {
  AmbientQuery,
  PlaceInput,
  ReadingsInput,
  type AmbientView,
  type PlaceAmbient,
  type PlaceView,
  type ReadingsTaken,
} from '@dewpot/contract';
import { DAY } from '@dewpot/core/units';
import { clock } from '../clock.js';
import { Key } from '../http/key-param.js';
import { CurrentUser, InTurn } from '../http/request.js';
import { Stream, Streams } from '../http/streams.js';
import { WhileUnchanged } from '../http/unchanged.js';
import { PlaceSeriesCache } from './place-series-cache.js';
import { PlacesService } from './places.service.js';
import { inReadingTurn } from './reading-turns.js';
import { ambientTopic } from './readings.service.js';

/** How often loggers are read out while somebody listens, ms. */
const EVERY = 10_000;

/** Places in which casts stand, and their air. */
@Controller('api')
export class PlacesController {
  constructor(
    private readonly places: PlacesService,
    private readonly series: PlaceSeriesCache,
    private readonly streams: Streams,
  ) {}

  /** The air of the workshop's first place. */
  @WhileUnchanged({ areas: ['ambient'] })
  @Get('ambient')
  ambient(): Promise<AmbientView> {
    return this.series.home(clock.now());
  }

  @WhileUnchanged({ areas: ['ambient'] })
  @Get('places')
  list(): Promise<PlaceView[]> {
    return this.places.list(clock.now());
  }

  /** Each place as its air changes, as server-sent events: a list of places. */
  @Stream('places/stream')
  stream(@CurrentUser() visitor: CurrentUser, @Headers('last-event-id') lastId?: string) {
    // A reading that is posted is told at once; the simulated loggers are read out on the beat.
    const topic = ambientTopic(visitor.workshopId);
    return this.streams.open(visitor, { read: () => this.list(), every: EVERY, topic, lastId });
  }

  @Put('places/:id')
  save(@Key() id: string, @Body() place: PlaceInput): Promise<PlaceView> {
    return this.places.save(id, place, clock.now());
  }

  @Delete('places/:id')
  @HttpCode(204)
  remove(@Key() id: string): Promise<void> {
    return this.places.remove(id);
  }

  /** The air of a place between two times, ms: the last three days where none are given. */
  @Get('places/:id/ambient')
  ambientOf(@Key() id: string, @Query() { from, to }: AmbientQuery): Promise<PlaceAmbient> {
    const now = clock.now();
    return this.places.ambientOf(id, from ?? now - 3 * DAY, to ?? now, now);
  }

  /** Takes the readings of a logger or out of a file: late and twice is no matter; what cannot be is set aside and told. */
  @Post('places/:id/readings')
  @HttpCode(200)
  @InTurn(inReadingTurn)
  take(@Key() id: string, @Body() { readings }: ReadingsInput): Promise<ReadingsTaken> {
    return this.places.take(id, readings, clock.now());
  }
}
