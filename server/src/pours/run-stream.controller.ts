import { Controller, Headers, Injectable, UseGuards, type CanActivate, type ExecutionContext } from '@nestjs/common';
import { isUUID } from 'class-validator';
import { WorkshopContext } from '../db/workshop-context.js';
import { Key } from '../http/key-param.js';
import { ProblemError } from '../http/problem-error.js';
import { CurrentUser, type AppRequest } from '../http/request.js';
import { Stream, Streams } from '../http/streams.js';
import { PoursService } from './pours.service.js';
import { RunsService } from './runs.service.js';

/** Without news a run is looked at this often all the same, ms. */
const LOOK = 15_000;

/** Turns away whoever asks for a pour that is not here: once a stream has begun, it has no other answer. */
@Injectable()
class PourHere implements CanActivate {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly pours: PoursService,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const { params, visitor } = context.switchToHttp().getRequest<AppRequest>();
    if (!visitor || !isUUID(params.id)) throw ProblemError.notFound('pour');
    await this.rows.inWorkshop(visitor.workshopId, () => this.pours.one(String(params.id)));
    return true;
  }
}

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
