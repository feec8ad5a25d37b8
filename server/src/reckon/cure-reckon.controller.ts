import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import {
  ageCourse,
  ageOfShare,
  bathNote,
  baths,
  bearings,
  compareCovers,
  computed,
  dampCureInWords,
  dampEnd,
  evaporation,
  evaporationUnder,
  faceAdvice,
  faceRisk,
  figure,
  handbookLiftOut,
  hourOfAge,
  initialSet,
  leaching,
  learnLiftOut,
  line,
  mistingPlan,
  pulledCores,
  reckonMaturity,
  snoozeCost,
  surfaceRecord,
  weatherWarnings,
  type Bearing,
  type CoverEffect,
  type DampCure,
  type DampEnd,
  type Figure,
  type Leaching,
  type LearnedLiftOut,
  type Maturity,
  type MistingPlan,
  type SnoozeCost,
  type SurfaceRecord,
  type TemperatureReading,
  type WeatherWarning,
} from '@dewpot/core';
import {
  CoversQuestion,
  DampEndQuestion,
  EvaporationQuestion,
  LeachingQuestion,
  LiftOutQuestion,
  MaturityQuestion,
  MistingQuestion,
  checkedShape,
  SnoozeQuestion,
  SurfaceQuestion,
  WeatherQuestion,
  WindowsQuestion,
} from '@dewpot/contract';
import { Calculated } from '../calculation/calculated.js';
import { asked } from './asked.js';
import { cureExamples } from './cure-examples.js';

/** What lies further ahead is out of sight, hours. */
const HORIZON = 90 * 24;

const inOrder = (readings: readonly TemperatureReading[]) => [...readings].sort((a, b) => a.hour - b.hour);

/** Windows of a mould that was filled, hours since the pour; nothing for what is out of sight. */
interface Windows {
  readonly pulls: readonly {
    readonly core: string;
    readonly good?: number;
    readonly late?: number;
    readonly how: string;
  }[];
  readonly liftOut: { readonly age: number; readonly at?: number };
  readonly bears: readonly { readonly bearing: Bearing; readonly at?: number; readonly told: string }[];
}

/** Reckoning for scripts about the first days. Nothing is kept. */
@Calculated()
@Controller('api/reckon/cure')
export class CureReckonController {
  @Post('maturity')
  @HttpCode(200)
  @asked(MaturityQuestion, cureExamples.maturity)
  maturity(@Body() { readings, hours, setting, datum }: MaturityQuestion): Maturity {
    return reckonMaturity(inOrder(readings), hours, setting, datum);
  }

  /** The earliest safe lift-out of a mould with a mix, learned from those before. */
  @Post('lift-out')
  @HttpCode(200)
  @asked(LiftOutQuestion, cureExamples['lift-out'])
  liftOut(@Body() { setting, piece, lightweight, records, ...ways }: LiftOutQuestion): LearnedLiftOut {
    return learnLiftOut(handbookLiftOut(setting, piece, lightweight), records, ways);
  }

  /** When cores are pulled, the piece is lifted out, handled, walked on and loaded. */
  @Post('windows')
  @HttpCode(200)
  @asked(WindowsQuestion, cureExamples.windows)
  windows(@Body() { readings, setting, piece, lightweight, shape, accelerated, release }: WindowsQuestion): Windows {
    const course = ageCourse(inOrder(readings), setting);
    const at = (age: number | undefined, name = 'at') => {
      const hour = age === undefined ? undefined : hourOfAge(course, 0, age, HORIZON);
      return hour === undefined ? {} : { [name]: hour };
    };
    const set = initialSet(setting, 20, accelerated);
    const age = handbookLiftOut(setting, piece, lightweight);
    return {
      pulls: pulledCores(checkedShape(shape), release).map(({ name, window: { good, late, how } }) => ({
        core: name,
        ...at(good * set, 'good'),
        ...at(late * set, 'late'),
        how,
      })),
      liftOut: { age, ...at(age) },
      bears: bearings.map(({ bearing, share, told }) => ({ bearing, told, ...at(ageOfShare(setting, share)) })),
    };
  }

  /** Frost, cold and heat on a young piece; hours since the pour. */
  @Post('weather')
  @HttpCode(200)
  @asked(WeatherQuestion, cureExamples.weather)
  weather(@Body() { readings, setting, now, strength }: WeatherQuestion): { warnings: WeatherWarning[] } {
    const sorted = inOrder(readings);
    const young = {
      course: ageCourse(sorted, setting),
      setting,
      poured: 0,
      now,
      until: sorted[sorted.length - 1]!.hour,
    };
    return { warnings: weatherWarnings({ ...young, ...(strength !== undefined && { strength }) }) };
  }

  @Post('evaporation')
  @HttpCode(200)
  @asked(EvaporationQuestion, cureExamples.evaporation)
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

  /** What leaving it open, shade, cloth, film, a bag or a bath would each do. */
  @Post('covers')
  @HttpCode(200)
  @asked(CoversQuestion, cureExamples.covers)
  covers(@Body() { lightweight, waking, ...air }: CoversQuestion): { covers: CoverEffect[] } {
    return { covers: compareCovers(air, lightweight, waking) };
  }

  /** When a face under a cover is wetted, inside the caster's waking hours. */
  @Post('misting')
  @HttpCode(200)
  @asked(MistingQuestion, cureExamples.misting)
  misting(@Body() { lightweight, waking, cover, ...air }: MistingQuestion): MistingPlan {
    return mistingPlan(evaporationUnder(cover, air), lightweight, waking);
  }

  /** How wet a face was kept: wettings done and missed. */
  @Post('surface')
  @HttpCode(200)
  @asked(SurfaceQuestion, cureExamples.surface)
  surface(@Body() { stretches, wettings, lightweight }: SurfaceQuestion): SurfaceRecord {
    return surfaceRecord(stretches, wettings, lightweight);
  }

  /** When a damp cure ends: by a share of strength, by days or by a school. */
  @Post('damp-end')
  @HttpCode(200)
  @asked(DampEndQuestion, cureExamples['damp-end'])
  dampEnd(@Body() { setting, longer, ...cure }: DampEndQuestion): DampEnd & { rule: string } {
    return { ...dampEnd(setting, cure as DampCure, longer), rule: dampCureInWords(cure as DampCure) };
  }

  /** How far a piece is leached for plants, fish or birds. */
  @Post('leaching')
  @HttpCode(200)
  @asked(LeachingQuestion, cureExamples.leaching)
  leaching(@Body() { readings, soaks }: LeachingQuestion): Leaching & { caution: string; note?: string } {
    const note = bathNote('leach', 'portland');
    return { ...leaching(readings, soaks), caution: baths.leach.caution, ...(note && { note }) };
  }

  /** What putting a stroke off costs. */
  @Post('snooze')
  @HttpCode(200)
  @asked(SnoozeQuestion, cureExamples.snooze)
  snooze(@Body() { until, ...window }: SnoozeQuestion): SnoozeCost {
    return snoozeCost(window, until);
  }
}
