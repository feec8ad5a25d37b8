import { AmbientApiController } from './ambient-api.controller.js';
import { CalendarApiController } from './calendar-api.controller.js';
import { ColouringApiController } from './colouring-api.controller.js';
import { CuringApiController } from './curing-api.controller.js';
import { FindingsApiController } from './findings-api.controller.js';
import { SealingApiController } from './sealing-api.controller.js';
import { MixApiController } from './mix-api.controller.js';
import { MoneyApiController } from './money-api.controller.js';
import { MouldApiController } from './mould-api.controller.js';
import { PatternsApiController } from './patterns-api.controller.js';
import { PourApiController } from './pour-api.controller.js';
import { TintApiController } from './tint-api.controller.js';

/** The questions for scripts. None keeps anything, and none needs anything but what it is asked. */
export const questionControllers = [
  AmbientApiController,
  CalendarApiController,
  ColouringApiController,
  CuringApiController,
  FindingsApiController,
  SealingApiController,
  MixApiController,
  MoneyApiController,
  MouldApiController,
  PatternsApiController,
  PourApiController,
  TintApiController,
] as const;
export { answerTo } from './names.js';
