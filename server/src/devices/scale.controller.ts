import { Body, Controller, Get, Headers, HttpCode, Post } from '@nestjs/common';
import { InputError } from '@dewpot/core';
import { ScaleEventInput, ScaleReadingInput, type ScaleState, type ScaleView } from '@dewpot/contract';
import { BenchScaleEntity } from '../db/entities.js';
import { WorkshopContext } from '../db/workshop-context.js';
import { CurrentUser } from '../http/request.js';
import { Stream, Streams } from '../http/streams.js';
import { EMPTY_SCALE, scaleAfter, scalePosted, scaleReading, scaleView } from './bench-scale.js';

/** How often the scale is read while somebody listens, ms. */
const EVERY = 200;
/** A posted reading may lie so far ahead of our clock, ms. */
const AHEAD = 60_000;

/** The scale on the bench: the simulated one, or a real one whose bridge posts its readings. */
@Controller('api/scale')
export class ScaleController {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly streams: Streams,
  ) {}

  @Get()
  async view(): Promise<ScaleView> {
    return scaleView(await this.state());
  }

  /** Pours on and off the simulated scale, tares it, or cuts its link for a while. */
  @Post()
  @HttpCode(200)
  async eventBody(@Body() given: ScaleEventInput): Promise<ScaleView> {
    return scaleView(await this.change((state) => scaleAfter(state, given, Date.now())));
  }

  /** Takes a reading of a real scale from its bridge; it counts before the simulated one for five seconds. */
  @Post('readings')
  @HttpCode(204)
  async post(@Body() given: ScaleReadingInput): Promise<void> {
    const now = Date.now();
    const { at = now } = given;
    if (at > now + AHEAD)
      throw new InputError([
        { field: 'at', value: at, message: 'The reading lies in the future.', remedy: 'Set the bridge’s clock.' },
      ]);
    await this.change((state) => scalePosted(state, given, now));
  }

  /** Readings as server-sent events, five a second, each a `ScaleReading`; nothing while the link is down. */
  @Stream('stream')
  stream(@CurrentUser() visitor: CurrentUser, @Headers('last-event-id') lastId?: string) {
    const read = async () => scaleReading(await this.state(), Date.now());
    return this.streams.open(visitor, { read, every: EVERY, lastId });
  }

  private async state(): Promise<ScaleState> {
    const row = await this.rows.of(BenchScaleEntity).findOneBy({ id: this.rows.workshopId });
    return row?.state ?? EMPTY_SCALE;
  }

  private async change(to: (state: ScaleState) => ScaleState): Promise<ScaleState> {
    // The scale is the workshop's own: its key is the workshop's. What is done to it at once is done one after the other.
    const { workshopId } = this.rows;
    await this.rows.lockWorkshop();
    const state = to(await this.state());
    await this.rows.of(BenchScaleEntity).save({ id: workshopId, workshopId, state });
    return state;
  }
}
