import { Injectable, type CallHandler, type ExecutionContext, type NestInterceptor } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import { from, lastValueFrom, Observable } from 'rxjs';
import { WorkshopContext } from '../db/workshop-context.js';
import { IN_TURN, marked, OWN_TRANSACTIONS, type AppRequest, type Turn } from './request.js';
import { STREAM } from './streams.js';

/** One transaction for each request of a visitor: the answer leaves after the commit. */
@Injectable()
export class WorkshopTransaction implements NestInterceptor {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly reflector: Reflector,
  ) {}

  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const { visitor } = context.switchToHttp().getRequest<AppRequest>();
    // A stream opens a transaction for each of its readings.
    if (!visitor || this.reflector.get<boolean>(STREAM, context.getHandler())) return next.handle();
    const answer = () => lastValueFrom(next.handle(), { defaultValue: undefined });
    const own = marked<boolean>(this.reflector, OWN_TRANSACTIONS, context);
    if (own) return from(this.rows.at(visitor.workshopId, answer));
    const turn = marked<Turn>(this.reflector, IN_TURN, context);
    const work = () => this.rows.inWorkshop(visitor.workshopId, answer);
    return from(turn ? turn(work) : work());
  }
}
