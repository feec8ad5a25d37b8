import { MINUTE } from '@dewpot/core/units';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import compression from 'compression';
import cookieParser from 'cookie-parser';
import helmet from 'helmet';
import { AppModule } from './app.module.js';
import type { ServerConfig } from './config.js';
import { BoundedAdapter } from './http/bounded-adapter.js';
import { bodyInTime } from './http/body-time.js';
import { readBody } from './http/body-limits.js';
import { serveOpenApi } from './http/openapi.js';
import { allowedHosts, sameOrigin } from './http/origin.js';
import { serveWeb } from './http/serve-web.js';
import { Unchanged } from './http/unchanged.js';
import { tidyBody } from './http/tidy-body.js';
import { validation } from './http/validation.js';
import { setRates } from './http/rate.js';
import type { Observer } from './monitoring/answered.js';

const security = helmet({
  contentSecurityPolicy: {
    directives: {
      defaultSrc: ["'self'"],
      // The solver of the calendar is WebAssembly, and nothing else is compiled in a page.
      scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
      // Drawings, charts and the API's own pages set style attributes.
      styleSrc: ["'self'", "'unsafe-inline'"],
      imgSrc: ["'self'", 'data:', 'blob:'],
      workerSrc: ["'self'", 'blob:'],
      connectSrc: ["'self'"],
      upgradeInsecureRequests: null,
    },
  },
  strictTransportSecurity: false,
});

/** Makes the whole server, not yet listening. Its own coming up is told only where it fails. `observers` are told of each request. */
export async function createServer(
  config: ServerConfig,
  observers: readonly Observer[] = [],
): Promise<NestExpressApplication> {
  const adapter = new BoundedAdapter();
  adapter.observers = observers;
  const app = await NestFactory.create<NestExpressApplication>(AppModule.with(config), adapter, {
    logger: ['error', 'warn'],
    bodyParser: false,
  });
  const unchanged = app.get(Unchanged);
  adapter.early = (request, response) => unchanged.early(request, response);
  if (config.proxies) app.set('trust proxy', [...config.proxies]);
  setRates(app.getHttpAdapter().getInstance(), config.rates);
  app.use(security);
  app.use(allowedHosts(config));
  app.use(sameOrigin);
  app.use(bodyInTime(MINUTE));
  app.use(readBody);
  app.use(tidyBody);
  app.use(compression());
  app.use(cookieParser());
  app.useGlobalPipes(validation);
  serveOpenApi(app);
  if (config.web) serveWeb(app, config.web);
  return app;
}
