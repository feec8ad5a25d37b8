import { Injectable, type CallHandler, type ExecutionContext, type NestInterceptor } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import { from, lastValueFrom, Observable } from 'rxjs';
import { WorkshopContext } from '../db/workshop-context.js';
import { IN_TURN, marked, OWN_TRANSACTIONS, type AppRequest, type Standing, type Turn } from './request.js';
import { STREAM } from './streams.js';
import { stateOf, WHILE_UNCHANGED, type MadeOf } from './unchanged.js';

/** One transaction for each request of a visitor: the answer leaves after the commit. */
@Injectable()
export class WorkshopTransaction implements NestInterceptor {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly reflector: Reflector,
  ) {}

  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const { visitor, standing } = context.switchToHttp().getRequest<AppRequest>();
    // A stream opens a transaction for each of its readings.
    if (!visitor || this.reflector.get<boolean>(STREAM, context.getHandler())) return next.handle();
    const answer = () => lastValueFrom(next.handle(), { defaultValue: undefined });
    const own = marked<boolean>(this.reflector, OWN_TRANSACTIONS, context);
    if (own) return from(this.rows.at(visitor.workshopId, answer));
    const turn = marked<Turn>(this.reflector, IN_TURN, context);
    const madeOf = this.reflector.get<MadeOf | undefined>(WHILE_UNCHANGED, context.getHandler());
    const work = () =>
      madeOf && standing ? this.read(madeOf, standing, answer) : this.rows.inWorkshop(visitor.workshopId, answer);
    return from(turn ? turn(work) : work());
  }

  /** What is made of the workshop's rows alone is read wherever they are as they were when its session was looked up. */
  private read<T>({ areas }: MadeOf, { workshopId, revisions }: Standing, work: () => Promise<T>): Promise<T> {
    return this.rows.reading(workshopId, (there) => stateOf(areas, there) === stateOf(areas, revisions), work);
  }
}
