import { createParamDecorator, SetMetadata, type ExecutionContext } from '@nestjs/common';
import type { Request } from 'express';

/** Who sent a request. */
export interface Visitor {
  readonly sessionId: string;
  readonly personId: string;
  readonly workshopId: string;
}

export interface AppRequest extends Request {
  requestId: string;
  visitor?: Visitor;
}

export const PUBLIC = 'dewpot:public';

/** Marks a route that needs no session. */
export const Public = () => SetMetadata(PUBLIC, true);

export const STREAMS = 'dewpot:streams';

/** Marks a route whose answer goes on and on: it has no transaction of its own. */
export const Streams = () => SetMetadata(STREAMS, true);

/** The visitor of a route that needs a session. */
export const Who = createParamDecorator((_: unknown, context: ExecutionContext): Visitor => {
  const { visitor } = context.switchToHttp().getRequest<AppRequest>();
  if (!visitor) throw new Error('This route has no visitor: it is public.');
  return visitor;
});
