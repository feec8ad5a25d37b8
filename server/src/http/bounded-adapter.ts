import {
  createServer,
  type IncomingMessage,
  type RequestListener,
  type ServerOptions,
  type ServerResponse,
} from 'node:http';
import { ExpressAdapter } from '@nestjs/platform-express';
import { observe, type Observer } from '../monitoring/answered.js';

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

type Within = (request: IncomingMessage, response: ServerResponse, handle: () => void) => void;
type Early = (request: IncomingMessage, response: ServerResponse) => Promise<boolean>;

/** Express on a server that no slow or silent client can hold for long. */
export class BoundedAdapter extends ExpressAdapter {
  /** Who is told of each request that was answered. */
  observers: readonly Observer[] = [];

  /** Answers what needs nothing of Express, which is most of the cost of a small answer; says whether it did. */
  early: Early = () => Promise.resolve(false);

  /** Handles a request where something is to be known of all that it leads to. */
  within: Within = (_request, _response, handle) => handle();

  override initHttpServer(): void {
    const express = this.getInstance<RequestListener>();
    const server = createServer(LIMITS, (request, response) => {
      observe(request, response, this.observers);
      this.within(request, response, () => {
        const { 'if-none-match': tag } = request.headers;
        if (tag === undefined) return void express(request, response);
        void this.early(request, response).then((answered) => answered || express(request, response));
      });
    });
    server.maxConnections = MOST_CONNECTIONS;
    server.setTimeout(SILENCE);
    this.httpServer = server;
  }
}
