import 'reflect-metadata';
import { DataSource } from 'typeorm';
import { createServer } from './bootstrap.js';
import { stopGracefully } from './http/graceful-stop.js';
import { configFrom } from './config.js';
import { PgNotifications } from './db/pg-notifications.js';
import { Replica } from './db/replica.js';
import { DatabaseHealth } from './health/database-health.js';
import { whyNotServed } from './db/schema-level.js';
import type { BoundedAdapter } from './http/bounded-adapter.js';
import type { Observer } from './monitoring/answered.js';
import { telling } from './monitoring/lines.js';
import { Metrics } from './monitoring/metrics.js';
import type { Traces } from './monitoring/traces.js';

const config = configFrom(process.env);
const { logger, observer } = telling(config.log ?? 'text', process.env.DEWPOT_QUIET === '1');
const observers: Observer[] = [];
const app = await createServer(config, observers);
// Whoever started us holds a channel to us: when it dies, we go too, so that the port is free for the next start.
let traces: Traces | undefined;
const stop = () =>
  void stopGracefully(app)
    .then(() => traces?.stop())
    .finally(() => process.exit(0));
process.once('disconnect', stop);
for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, stop);
if (config.metricsPort) {
  const metrics = new Metrics(app.get(DataSource), app.get(Replica));
  observers.push(metrics.observe);
  await metrics.serve(config.metricsPort);
}
if (config.traces) {
  traces = new (await import('./monitoring/traces.js')).Traces(config.traces, app.get(DataSource));
  (app.getHttpAdapter() as BoundedAdapter).within = traces.within;
}
// Its line to the database says that it runs: whoever narrows the schema sees it, or it sees that it was narrowed.
await app.get(PgNotifications).listen();
const refused = await whyNotServed(app.get(DataSource));
if (refused) throw new Error(refused);
// What comes first is judged by the right time already.
await app.get(DatabaseHealth).state();
await app.listen(config.port, config.host);
// From now on each request has its line.
app.useLogger(logger);
observers.push(observer);
// The start command waits for this line.
process.stdout.write(`listening on http://${config.host}:${config.port}\n`);
