import type { Server } from 'node:http';
import { setTimeout as wait } from 'node:timers/promises';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { Streams } from './streams.js';

/** Requests that run are given so long to finish, ms. */
const GRACE = 6_000;

/** Stops taking requests, ends the streams with a hint to come back, lets what runs finish, and ends within ten seconds. */
export async function stopGracefully(app: NestExpressApplication): Promise<void> {
  const server = app.getHttpServer() as Server;
  const closed = new Promise<void>((done) => server.close(() => done()));
  app.get(Streams).end();
  // An idle connection would be kept open for a next request, which would not be answered.
  const idle = setInterval(() => server.closeIdleConnections(), 100);
  await Promise.race([closed, wait(GRACE)]);
  clearInterval(idle);
  server.closeAllConnections();
  await Promise.race([app.close(), wait(1_000)]);
}
