import { ClimateReckonController } from './climate-reckon.controller.js';
import { ColouringReckonController } from './colouring-reckon.controller.js';
import { CureReckonController } from './cure-reckon.controller.js';
import { FinishReckonController } from './finish-reckon.controller.js';
import { MixReckonController } from './mix-reckon.controller.js';
import { MouldReckonController } from './mould-reckon.controller.js';
import { PourReckonController } from './pour-reckon.controller.js';
import { TintReckonController } from './tint-reckon.controller.js';

/** The questions for scripts. None keeps anything, and none needs anything but what it is asked. */
export const questionControllers = [
  ClimateReckonController,
  ColouringReckonController,
  CureReckonController,
  FinishReckonController,
  MixReckonController,
  MouldReckonController,
  PourReckonController,
  TintReckonController,
] as const;
