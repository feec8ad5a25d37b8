import 'reflect-metadata';
import { createServer } from './bootstrap.js';
import { stopGracefully } from './http/graceful-stop.js';
import { configFrom } from './config.js';

const config = configFrom(process.env);
const app = await createServer(config);
// Whoever started us holds a channel to us: when it dies, we go too, so that the port is free for the next start.
const stop = () => void stopGracefully(app).then(() => process.exit(0));
process.once('disconnect', stop);
for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, stop);
await app.listen(config.port, config.host);
// From now on each request has its line.
app.useLogger(process.env.DEWPOT_QUIET === '1' ? ['error'] : ['error', 'warn', 'log']);
// The start command waits for this line.
process.stdout.write(`listening on http://${config.host}:${config.port}\n`);
