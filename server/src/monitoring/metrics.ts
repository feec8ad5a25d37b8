import { createServer, type Server } from 'node:http';
import { collectDefaultMetrics, Counter, Gauge, Histogram, Registry } from 'prom-client';
import type { Pool } from 'pg';
import type { DataSource } from 'typeorm';
import { clock } from '../clock.js';
import { ofApi } from '../http/request.js';
import type { Replica } from '../db/replica.js';
import type { Answered } from './answered.js';

/** Bounds of the times that are counted together, s. */
const TIMES = [0.005, 0.01, 0.025, 0.06, 0.1, 0.25, 0.5, 1, 2.5, 10];

/** The figures of a server that runs, in the text format of Prometheus. */
export class Metrics {
  readonly registry = new Registry();

  private readonly requests = new Histogram({
    name: 'dewpot_request_seconds',
    help: 'Time from a request’s headers to the last byte of its answer',
    labelNames: ['method', 'route', 'status'],
    buckets: TIMES,
    registers: [this.registry],
  });

  constructor(source: DataSource, { reads }: Pick<Replica, 'reads'>) {
    collectDefaultMetrics({ register: this.registry });
    const { registry } = this;
    new Gauge({
      name: 'dewpot_database_connections',
      help: 'Connections of this server to the database, and requests that wait for one',
      labelNames: ['state'],
      registers: [registry],
      collect() {
        const { idleCount, totalCount, waitingCount } = (source.driver as unknown as { readonly master: Pool }).master;
        this.set({ state: 'idle' }, idleCount);
        this.set({ state: 'busy' }, totalCount - idleCount);
        this.set({ state: 'waited for' }, waitingCount);
      },
    });
    new Gauge({
      name: 'dewpot_clock_offset_seconds',
      help: 'How far the database’s clock is ahead of this server’s; 0 where they agree within two seconds',
      registers: [registry],
      collect() {
        this.set(clock.offset / 1000);
      },
    });
    new Counter({
      name: 'dewpot_replica_reads',
      help: 'Reads that the replica answered, and those that it left to the database that leads',
      labelNames: ['how'],
      registers: [registry],
      collect() {
        this.reset();
        for (const [how, count] of Object.entries(reads)) this.inc({ how }, count);
      },
    });
  }

  /** Counts a request of the API. Its address is no label: there are as many as there are things. */
  readonly observe = (answered: Answered): void => {
    if (!ofApi(answered)) return;
    const { method, route, status, ms } = answered;
    this.requests.observe({ method, route: route ?? 'none', status }, ms / 1000);
  };

  /** Serves the figures at `/metrics`, to this machine alone: they are nobody's business who uses the server. */
  serve(port: number): Promise<Server> {
    const server = createServer((request, response) => {
      if (request.url !== '/metrics') return void response.writeHead(404).end();
      void this.registry.metrics().then(
        (text) => response.writeHead(200, { 'Content-Type': this.registry.contentType }).end(text),
        () => response.writeHead(500).end(),
      );
    });
    // Whoever gathers them does not keep a server that stops.
    server.unref();
    return new Promise((listening, failed) => {
      server.once('error', failed);
      server.listen(port, '127.0.0.1', () => listening(server));
    });
  }
}
