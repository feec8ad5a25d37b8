import { Body, Controller, Delete, Get, Headers, HttpCode, Post, Put, Query } from '@nestjs/common';
import {
  AirQuery,
  PlaceInput,
  ReadingsInput,
  type AirView,
  type PlaceAir,
  type PlaceView,
  type ReadingsTaken,
} from '@dewpot/contract';
import { HOUR } from '@dewpot/core';
import { PlaceEntity, WorkshopEntity } from '../db/entities.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { saveEdited } from '../db/save-edited.js';
import { Key } from '../http/key-param.js';
import { ProblemError } from '../http/problem-error.js';
import { CurrentUser } from '../http/request.js';
import { Stream, Streams } from '../http/streams.js';
import { PlaceSeriesCache } from './place-series-cache.js';
import { airTopic, ReadingsService } from './readings.service.js';

/** How often loggers are read out while somebody listens, ms. */
const EVERY = 10_000;
const MOST_PLACES = 40;
const TEN_YEARS = 87_660 * HOUR;

/** Places in which casts stand, and their air. */
@Controller('api')
export class PlacesController {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly climates: PlaceSeriesCache,
    private readonly readings: ReadingsService,
    private readonly streams: Streams,
  ) {}

  /** The air of the workshop's first place. */
  @Get('air')
  air(): Promise<AirView> {
    return this.climates.home(Date.now());
  }

  @Get('places')
  async list(): Promise<PlaceView[]> {
    const now = Date.now();
    const views: PlaceView[] = [];
    for (const place of await this.climates.places()) views.push(await this.climates.view(place, now));
    return views;
  }

  /** Each place as its air changes, as server-sent events: a list of places. */
  @Stream('places/stream')
  stream(@CurrentUser() visitor: CurrentUser, @Headers('last-event-id') lastId?: string) {
    // A reading that is posted is told at once; the simulated loggers are read out on the beat.
    const topic = airTopic(visitor.workshopId);
    return this.streams.open(visitor, { read: () => this.list(), every: EVERY, topic, lastId });
  }

  @Put('places/:id')
  async save(@Key() id: string, @Body() { version, name, ...body }: PlaceInput): Promise<PlaceView> {
    if (version === 0 && (await this.countLocked()) >= MOST_PLACES)
      throw new ProblemError(409, 'Enough places', {
        detail: `A workshop has ${MOST_PLACES} places. Remove one first.`,
      });
    if (body.source === 'forecast' || body.simulated) await this.mustBeDemo();
    const saved = await saveEdited(this.rows, this.rows.of(PlaceEntity), 'place', id, version, {
      name: name.trim(),
      body,
    });
    return this.climates.view(saved, Date.now());
  }

  @Delete('places/:id')
  @HttpCode(204)
  async remove(@Key() id: string): Promise<void> {
    if ((await this.countLocked()) <= 1)
      throw new ProblemError(409, 'The last place', {
        detail: 'Casts stand somewhere: keep one place, or make another first.',
      });
    await this.readings.forget(id);
    await this.rows.of(PlaceEntity).delete({ id });
  }

  /** The air of a place between two times, ms: the last three days where none are given. */
  @Get('places/:id/air')
  async airOf(@Key() id: string, @Query() { from, to }: AirQuery): Promise<PlaceAir> {
    const now = Date.now();
    const start = from ?? now - 72 * HOUR;
    if (start < now - TEN_YEARS)
      throw ProblemError.refused('Too long ago', 'from', start, 'That is more than ten years ago.', 'Ask for less.');
    return this.climates.air(await this.place(id), start, to ?? now, now);
  }

  /** Takes the readings of a logger or out of a file: late and twice is no matter; what cannot be is set aside and told. */
  @Post('places/:id/readings')
  @HttpCode(200)
  async take(@Key() id: string, @Body() { readings }: ReadingsInput): Promise<ReadingsTaken> {
    const { body } = await this.place(id);
    if (body.simulated || !['logger', 'files'].includes(body.source))
      throw new ProblemError(409, 'This place takes no readings', {
        detail: 'Its air comes from elsewhere. Choose a logger of your own, or files, as its source first.',
      });
    return this.readings.take(id, readings, Date.now());
  }

  /** Weather that nobody measured is the demo’s alone. */
  private async mustBeDemo(): Promise<void> {
    const { demo } = await this.rows.of(WorkshopEntity).findOneByOrFail({ id: this.rows.workshopId });
    if (demo) return;
    const remedy = 'Type a figure or a table of months, connect a logger, or bring readings in from a file.';
    throw ProblemError.refused(
      'Not in your workshop',
      'source',
      null,
      'The simulated weather belongs to the demo.',
      remedy,
    );
  }

  /** How many places there are; two requests at once count one after the other. */
  private async countLocked(): Promise<number> {
    await this.rows.lockWorkshop();
    return this.rows.of(PlaceEntity).count();
  }

  private async place(id: string): Promise<PlaceEntity> {
    const place = await this.rows.of(PlaceEntity).findOneBy({ id });
    if (!place) throw ProblemError.notFound('place');
    return place;
  }
}
