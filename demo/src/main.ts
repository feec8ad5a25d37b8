import { MINUTE } from '@dewpot/core/units';
import { isLanguage } from '@dewpot/locales';
import { configFrom, createServer } from '@dewpot/server';
import { fillDemo } from './fill.js';

const { DEWPOT_DEMO_LANGUAGE: language } = process.env;
// Nobody waits for an answer, and a busy machine is to come through.
const app = await createServer({ ...configFrom(process.env), calculationTime: 2 * MINUTE });
await app.init();
await fillDemo(app, Date.now(), {
  ...(isLanguage(language) && { language }),
  progress: (done, all) => process.stderr.write(`\r  pour ${done} of ${all}${done === all ? '\n' : ''}`),
});
await app.close();
