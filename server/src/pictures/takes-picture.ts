import { msg } from '@dewpot/core/units';
import {
  createParamDecorator,
  Injectable,
  SetMetadata,
  type CallHandler,
  type ExecutionContext,
  type NestInterceptor,
} from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { Response } from 'express';
import multer, { MulterError } from 'multer';
import { defer, from, switchMap, type Observable } from 'rxjs';
import { CalculationPool } from '../calculation/calculation-pool.js';
import { Slots } from '../calculation/slots.js';
import { ProblemError } from '../http/problem-error.js';
import { tidy } from '../http/tidy-body.js';
import type { AppRequest } from '../http/request.js';
import type { Redrawn } from './redraw.js';

const TAKES_PICTURE = 'dewpot:takes-picture';
const FIELD = 'picture';
const MOST_BYTES = 12 * 1024 * 1024;
/** Uploads that are held in memory at once, and how long the next ones wait, ms. */
const AT_ONCE = 8;
const PATIENCE = 30_000;

interface PictureRequest extends AppRequest {
  picture?: Redrawn;
}

/** Marks a route to which a picture is sent as a file. It is read and drawn again before the route's transaction opens. */
export const TakesPicture = () => SetMetadata(TAKES_PICTURE, true);

/** The picture that was sent, as it is kept. */
export const Picture = createParamDecorator((_: unknown, context: ExecutionContext): Redrawn => {
  const { picture } = context.switchToHttp().getRequest<PictureRequest>();
  if (!picture)
    throw ProblemError.refused(msg('server.noPicture'), FIELD, null, msg('server.noFile'), msg('server.chooseAPhoto'));
  return picture;
});

const upload = multer({ limits: { fileSize: MOST_BYTES, files: 1, fields: 4, fieldSize: 2_000 } }).single(FIELD);

const receive = (request: AppRequest, response: Response) =>
  new Promise<void>((done, reject) =>
    upload(request, response, (error: unknown) => (error ? reject(refusal(error)) : done())),
  );

function refusal(error: unknown): unknown {
  if (error instanceof MulterError && error.code === 'LIMIT_FILE_SIZE')
    return new ProblemError(413, msg('server.tooLarge'), {
      detail: msg('server.mostMegabytes', { mostBytes: MOST_BYTES / 2 ** 20 }),
    });
  const { message } = error as Error;
  return new ProblemError(400, msg('server.unreadable'), { detail: msg('server.asTold', { text: message }) });
}

/** Receives pictures before any transaction is open: a slow upload holds no connection. */
@Injectable()
export class PictureUpload implements NestInterceptor {
  private readonly slots = new Slots(AT_ONCE, AT_ONCE * 4, PATIENCE);

  constructor(
    private readonly pool: CalculationPool,
    private readonly reflector: Reflector,
  ) {}

  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    if (!this.reflector.get<boolean>(TAKES_PICTURE, context.getHandler())) return next.handle();
    const http = context.switchToHttp();
    const take = () => this.take(http.getRequest<PictureRequest>(), http.getResponse<Response>());
    return defer(() => from(take())).pipe(switchMap(() => next.handle()));
  }

  private async take(request: PictureRequest, response: Response): Promise<void> {
    const busy = () =>
      new ProblemError(503, msg('server.tooManyPictures'), { detail: msg('server.tryAgain'), retryAfter: 3 });
    await this.slots.run(async () => {
      await receive(request, response);
      if (request.file) request.picture = await this.pool.run('redraw', request.file.buffer);
      delete request.file;
      tidy(request.body);
    }, busy);
  }
}
