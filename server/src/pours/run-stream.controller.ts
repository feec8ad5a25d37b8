import { Controller, Headers, UseGuards } from '@nestjs/common';
import { Key } from '../http/key-param.js';
import { CurrentUser } from '../http/request.js';
import { Stream, Streams } from '../http/streams.js';
import { PourHere } from './pour-here.guard.js';
import { RunsService } from './runs.service.js';

/** Without news a run is looked at this often all the same, ms. */
const LOOK = 15_000;

/** A pour's run as it goes, for every device at the bench. */
@Controller('api/pours')
export class RunStreamController {
  constructor(
    private readonly streams: Streams,
    private readonly runs: RunsService,
  ) {}

  /** The run as server-sent events: each a whole `RunView`, at once and whenever something was added to it. */
  @Stream(':id/run/stream')
  @UseGuards(PourHere)
  stream(@Key() id: string, @CurrentUser() visitor: CurrentUser, @Headers('last-event-id') lastId?: string) {
    return this.streams.open(visitor, { read: () => this.runs.of(id), every: LOOK, topic: id, lastId });
  }
}
