import { configFrom, createServer } from '@dewpot/server';
import { fillDemo } from './fill.js';

const app = await createServer(configFrom(process.env));
await app.init();
await fillDemo(app, Date.now(), (done, all) =>
  process.stderr.write(`\r  pour ${done} of ${all}${done === all ? '\n' : ''}`),
);
await app.close();
