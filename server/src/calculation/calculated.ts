import {
  applyDecorators,
  Injectable,
  UseInterceptors,
  type CallHandler,
  type ExecutionContext,
  type NestInterceptor,
} from '@nestjs/common';
import type { Response } from 'express';
import { from, type Observable } from 'rxjs';
import { ForRole, NeedsNoDatabase, OwnTransactions, Public, type AppRequest } from '../http/request.js';
import { speakerOf } from '../http/speaker.js';
import { CalculationPool } from './calculation-pool.js';

/** Sends a script's question to the pool: neither checking it nor answering it holds up a request. The answer is in the script's language. */
@Injectable()
class CalculatedInterceptor implements NestInterceptor {
  constructor(private readonly pool: CalculationPool) {}

  intercept(context: ExecutionContext, _next: CallHandler): Observable<unknown> {
    const http = context.switchToHttp();
    http.getResponse<Response>().type('application/json');
    const request = http.getRequest<AppRequest>();
    const { reader } = speakerOf(request);
    return from(this.pool.run('question', context.getClass().name, context.getHandler().name, request.body, reader));
  }
}

/** Questions for scripts: calculated in the pool, changing nothing; open to whoever can reach a server on loopback. */
export const Calculated = () =>
  applyDecorators(
    Public('on loopback'),
    ForRole('guest'),
    NeedsNoDatabase(),
    OwnTransactions(),
    UseInterceptors(CalculatedInterceptor),
  );
