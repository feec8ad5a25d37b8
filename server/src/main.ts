import 'reflect-metadata';
import { createServer } from './bootstrap.js';
import { configFrom } from './config.js';

const config = configFrom(process.env);
const app = await createServer(config);
// Whoever started us holds a channel to us: when it dies, we go too, so that the port is free for the next start.
process.on('disconnect', () => void app.close().then(() => process.exit(0)));
await app.listen(config.port, config.host);
// From now on each request has its line.
if (process.env.DEWPOT_QUIET !== '1') app.useLogger(['error', 'warn', 'log']);
// The start command waits for this line.
process.stdout.write(`listening on http://${config.host}:${config.port}\n`);
