import { Injectable, type CallHandler, type ExecutionContext, type NestInterceptor } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import { from, lastValueFrom, type Observable } from 'rxjs';
import { Rows } from '../db/rows.js';
import { STREAMS, type AppRequest } from './request.js';

/** One transaction for each request of a visitor: the answer leaves after the commit. */
@Injectable()
export class WorkshopTransaction implements NestInterceptor {
  constructor(
    private readonly rows: Rows,
    private readonly reflector: Reflector,
  ) {}

  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const { visitor } = context.switchToHttp().getRequest<AppRequest>();
    if (!visitor || this.reflector.get<boolean>(STREAMS, context.getHandler())) return next.handle();
    return from(
      this.rows.inWorkshop(visitor.workshopId, () => lastValueFrom(next.handle(), { defaultValue: undefined })),
    );
  }
}
