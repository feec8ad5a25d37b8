import { isLanguage } from '@dewpot/locales';
import { configFrom, createServer } from '@dewpot/server';
import { fillDemo } from './fill.js';

const { DEWPOT_DEMO_LANGUAGE: language } = process.env;
const app = await createServer(configFrom(process.env));
await app.init();
await fillDemo(app, Date.now(), {
  ...(isLanguage(language) && { language }),
  progress: (done, all) => process.stderr.write(`\r  pour ${done} of ${all}${done === all ? '\n' : ''}`),
});
await app.close();
