import type { NextFunction, Request, Response } from 'express';

/** Routes to which files come that take longer on a slow line: the limit of the whole server is theirs. */
const LONG = /^\/api\/archive\//;

/** Answers 408 where a body is not there in time, ms: nobody holds a connection by sending a letter now and then. */
export const bodyInTime =
  (most: number) =>
  (request: Request, response: Response, next: NextFunction): void => {
    if (LONG.test(request.path)) return next();
    const late = setTimeout(() => {
      if (request.complete) return;
      if (!response.headersSent) response.writeHead(408, { Connection: 'close' }).end();
      request.destroy();
    }, most);
    for (const over of ['end', 'close']) request.once(over, () => clearTimeout(late));
    next();
  };
