import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import {
  computed,
  evaporation,
  faceAdvice,
  faceRisk,
  figure,
  line,
  handbookLiftOut,
  learnLiftOut,
  reckonDryDown,
  reckonMaturity,
  type DryDown,
  type Figure,
  type LearnedLiftOut,
  type Maturity,
} from '@dewpot/core';
import { DryDownQuestion, EvaporationQuestion, LiftOutQuestion, MaturityQuestion } from '@dewpot/contract';
import { Public } from '../http/request.js';
import { asked } from './asked.js';
import { cureExamples } from './cure-examples.js';

/** Reckoning for scripts: a plain description in, figures with basis and working out. Nothing is kept. */
@Public()
@Controller('api/reckon')
export class ReckonController {
  @Post('cure/maturity')
  @HttpCode(200)
  maturity(@Body() { readings, hours, setting }: MaturityQuestion): Maturity {
    const sorted = [...readings].sort((a, b) => a.hour - b.hour);
    return reckonMaturity(sorted, hours, setting);
  }

  /** The earliest safe lift-out of a mould with a mix, learned from those before. */
  @Post('cure/lift-out')
  @HttpCode(200)
  @asked(LiftOutQuestion, cureExamples['lift-out'])
  liftOut(@Body() { setting, piece, records, ...ways }: LiftOutQuestion): LearnedLiftOut {
    return learnLiftOut(handbookLiftOut(setting, piece), records, ways);
  }

  @Post('cure/evaporation')
  @HttpCode(200)
  evaporation(@Body() question: EvaporationQuestion): { rate: Figure; advice: string } {
    const rate = evaporation(question);
    return {
      rate: figure(rate, 'kg/m²/h', computed, [
        line('Concrete', question.concrete, '°C'),
        line('Air', question.air, '°C'),
        line('Humidity', question.humidity * 100, '%'),
        line('From a wet face', rate, 'kg/m²/h', 'ACI 305R nomograph in Uno’s form'),
      ]),
      advice: faceAdvice[faceRisk(rate)],
    };
  }

  @Post('finish/dry-down')
  @HttpCode(200)
  dryDown(@Body() { weighings, dry, loss, setting, film }: DryDownQuestion): DryDown {
    return reckonDryDown(weighings, { dry, loss }, setting, film);
  }
}
