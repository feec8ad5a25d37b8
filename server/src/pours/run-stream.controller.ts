import { Controller, Get, Res } from '@nestjs/common';
import { ApiProduces } from '@nestjs/swagger';
import type { RunView } from '@dewpot/contract';
import type { Response } from 'express';
import { News } from '../db/news.js';
import { Rows } from '../db/rows.js';
import { openEventStream } from '../http/event-stream.js';
import { Key } from '../http/key-param.js';
import { Streams, Who, type Visitor } from '../http/request.js';
import { PoursService } from './pours.service.js';
import { RunsService } from './runs.service.js';

/** Without news a run is looked at this often all the same, ms. */
const LOOK = 15_000;

/** A pour's run as it goes, for every device at the bench. */
@Controller('api/pours')
export class RunStreamController {
  constructor(
    private readonly rows: Rows,
    private readonly news: News,
    private readonly pours: PoursService,
    private readonly runs: RunsService,
  ) {}

  /** The run as server-sent events: each a whole `RunView`, at once and whenever something was added to it. */
  @Get(':id/run/stream')
  @Streams()
  @ApiProduces('text/event-stream')
  async stream(@Key() id: string, @Who() { workshopId }: Visitor, @Res() response: Response): Promise<void> {
    const gone = new AbortController();
    response.once('close', () => gone.abort());
    const next = () => this.news.next(id, AbortSignal.any([gone.signal, AbortSignal.timeout(LOOK)]));
    const read = () => this.rows.inWorkshop(workshopId, () => this.runs.of(id));
    await this.rows.inWorkshop(workshopId, () => this.pours.one(id));
    await this.news.listen();
    let seen = -1;
    const stream = openEventStream(response);
    while (!stream.closed) {
      // The wait begins before the reading, so that nothing that is told in between is missed.
      const news = next();
      const view: RunView = await read();
      if (view.events.length === seen) stream.beat();
      else stream.send(view);
      seen = view.events.length;
      await news;
    }
  }
}
