import { Body, Controller, Delete, Get, HttpCode, ParseIntPipe, Post, Put, Query, Res } from '@nestjs/common';
import { ApiProduces } from '@nestjs/swagger';
import {
  PlaceInput,
  ReadingsInput,
  type AirView,
  type PlaceAir,
  type PlaceView,
  type ReadingsTaken,
} from '@dewpot/contract';
import type { Response } from 'express';
import { PlaceEntity } from '../db/entities.js';
import { News } from '../db/news.js';
import { Rows } from '../db/rows.js';
import { saveEdited } from '../db/save-edited.js';
import { openEventStream } from '../http/event-stream.js';
import { Key } from '../http/key-param.js';
import { ProblemError } from '../http/problem-error.js';
import { Streams, Who, type Visitor } from '../http/request.js';
import { Climates } from './climates.js';
import { airTopic, ReadingsService } from './readings.service.js';

/** How often loggers are read out while somebody listens, ms. */
const EVERY = 10_000;
const MOST_PLACES = 40;

/** Places in which casts stand, and their air. */
@Controller('api')
export class PlacesController {
  constructor(
    private readonly rows: Rows,
    private readonly climates: Climates,
    private readonly readings: ReadingsService,
    private readonly news: News,
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
  @Get('places/stream')
  @Streams()
  @ApiProduces('text/event-stream')
  async stream(@Who() { workshopId }: Visitor, @Res() response: Response): Promise<void> {
    const gone = new AbortController();
    response.once('close', () => gone.abort());
    await this.news.listen();
    const stream = openEventStream(response);
    while (!stream.closed) {
      // A reading that is posted is told at once; the simulated loggers are read out on the beat.
      const news = this.news.next(airTopic(workshopId), AbortSignal.any([gone.signal, AbortSignal.timeout(EVERY)]));
      stream.send(await this.rows.inWorkshop(workshopId, () => this.list()));
      await news;
    }
  }

  @Put('places/:id')
  async save(@Key() id: string, @Body() { version, name, ...body }: PlaceInput): Promise<PlaceView> {
    if (version === 0 && (await this.rows.of(PlaceEntity).count()) >= MOST_PLACES)
      throw new ProblemError(409, 'Enough places', {
        detail: `A workshop has ${MOST_PLACES} places. Remove one first.`,
      });
    const saved = await saveEdited(this.rows, this.rows.of(PlaceEntity), 'place', id, version, {
      name: name.trim(),
      body,
    });
    return this.climates.view(saved, Date.now());
  }

  @Delete('places/:id')
  @HttpCode(204)
  async remove(@Key() id: string): Promise<void> {
    if ((await this.rows.of(PlaceEntity).count()) <= 1)
      throw new ProblemError(409, 'The last place', {
        detail: 'Casts stand somewhere: keep one place, or make another first.',
      });
    await this.readings.forget(id);
    await this.rows.of(PlaceEntity).delete({ id });
  }

  /** The air of a place between two times, ms: the last three days where none are given. */
  @Get('places/:id/air')
  async airOf(
    @Key() id: string,
    @Query('from', new ParseIntPipe({ optional: true })) from?: number,
    @Query('to', new ParseIntPipe({ optional: true })) to?: number,
  ): Promise<PlaceAir> {
    const now = Date.now();
    return this.climates.air(await this.place(id), from ?? now - 72 * 3_600_000, to ?? now, now);
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

  private async place(id: string): Promise<PlaceEntity> {
    const place = await this.rows.of(PlaceEntity).findOneBy({ id });
    if (!place) throw ProblemError.notFound('place');
    return place;
  }
}
