import { join } from 'node:path';
import express, { type NextFunction, type Response } from 'express';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { ofApi, type AppRequest } from './request.js';

const YEAR = 365 * 24 * 3_600_000;

/** Serves the built web application: hashed files for a year, the page itself always fresh, any station's address by it. */
export function serveWeb(app: NestExpressApplication, folder: string): void {
  const files = express.static(folder, { index: false, maxAge: 0 });
  app.use('/assets', express.static(join(folder, 'assets'), { maxAge: YEAR, immutable: true, fallthrough: false }));
  // The API's answers are no files: nothing on the disk is looked up for them.
  app.use((request: AppRequest, response: Response, next: NextFunction) =>
    ofApi(request) ? next() : files(request, response, next),
  );
  app.use((request: AppRequest, response: Response, next: NextFunction) => {
    if (request.method !== 'GET' || ofApi(request)) return next();
    response
      .set('Cache-Control', 'no-cache')
      .sendFile(join(folder, 'index.html'), (error?: Error) => error && next(error));
  });
}
