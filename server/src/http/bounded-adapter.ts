import { createServer, type ServerOptions } from 'node:http';
import { ExpressAdapter } from '@nestjs/platform-express';

/** How long a client may take, ms: for the headers, for the largest request of all, and between two requests. */
const LIMITS: ServerOptions = {
  headersTimeout: 15_000,
  requestTimeout: 1_800_000,
  keepAliveTimeout: 10_000,
  connectionsCheckingInterval: 1_000,
  maxHeaderSize: 16_384,
};
/** A connection on which nothing goes either way is closed, ms. Streams beat more often than this. */
const SILENCE = 75_000;
const MOST_CONNECTIONS = 1_000;

/** Express on a server that no slow or silent client can hold for long. */
export class BoundedAdapter extends ExpressAdapter {
  override initHttpServer(): void {
    const server = createServer(LIMITS, this.getInstance());
    server.maxConnections = MOST_CONNECTIONS;
    server.setTimeout(SILENCE);
    this.httpServer = server;
  }
}
