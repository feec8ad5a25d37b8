import { Injectable, type CanActivate, type ExecutionContext } from '@nestjs/common';
import { isUUID } from 'class-validator';
import { WorkshopContext } from '../db/workshop-context.js';
import { ProblemError } from '../http/problem-error.js';
import type { AppRequest } from '../http/request.js';
import { PoursService } from './pours.service.js';

/** Turns away whoever asks for a pour that is not here: once a stream has begun, it has no other answer. */
@Injectable()
export class PourHere implements CanActivate {
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
