import { Body, Controller, Get, Headers, HttpCode, Post } from '@nestjs/common';
import { ScaleEventInput, ScaleReadingInput, type ScaleView } from '@dewpot/contract';
import { clock } from '../clock.js';
import { CurrentUser, ForRole } from '../http/request.js';
import { Stream, Streams } from '../http/streams.js';
import { BenchScaleService } from './bench-scale.service.js';

/** How often the scale is read while somebody listens, ms. */
const EVERY = 200;

/** The scale on the bench: the simulated one, or a real one whose bridge posts its readings. */
@Controller('api/scale')
export class ScaleController {
  constructor(
    private readonly scale: BenchScaleService,
    private readonly streams: Streams,
  ) {}

  @Get()
  view(): Promise<ScaleView> {
    return this.scale.view();
  }

  /** Pours on and off the simulated scale, tares it, or cuts its link for a while. */
  @ForRole('helper')
  @Post()
  @HttpCode(200)
  act(@Body() given: ScaleEventInput): Promise<ScaleView> {
    return this.scale.act(given);
  }

  /** Takes a reading of a real scale from its bridge; it counts before the simulated one for five seconds. */
  @ForRole('helper')
  @Post('readings')
  @HttpCode(204)
  post(@Body() given: ScaleReadingInput): Promise<void> {
    return this.scale.take(given);
  }

  /** Readings as server-sent events, five a second, each a `ScaleReading`; nothing while the link is down. */
  @Stream('stream')
  stream(@CurrentUser() visitor: CurrentUser, @Headers('last-event-id') lastId?: string) {
    return this.streams.open(visitor, { read: () => this.scale.readingAt(clock.now()), every: EVERY, lastId });
  }
}
