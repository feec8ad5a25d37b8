import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import { defined } from '@dewpot/core/math';
import { computed, figure, line, type Figure, msg, type Message } from '@dewpot/core/units';
import { initialSetAt20 } from '@dewpot/core/binders';
import {
  ageCourse,
  ageOfShare,
  bathNote,
  baths,
  bearings,
  calculateMaturity,
  compareCovers,
  evaporation,
  evaporationUnder,
  faceAdvice,
  faceRisk,
  handbookDemouldAge,
  hourOfAge,
  leaching,
  learnDemouldAge,
  mistingPlan,
  moistCuringEnd,
  moistCuringInWords,
  surfaceRecord,
  weatherWarnings,
  type Bearing,
  type CoverEffect,
  type Leaching,
  type LearnedDemouldAge,
  type Maturity,
  type MistingPlan,
  type MoistCuring,
  type MoistCuringEnd,
  type SurfaceRecord,
  type TemperatureReading,
  type WeatherWarning,
  pulledCores,
} from '@dewpot/core/curing';
import { postponementCost, type PostponementCost } from '@dewpot/core/casts';
import {
  CoversQuestion,
  DampEndQuestion,
  EvaporationQuestion,
  LeachingQuestion,
  DemouldQuestion,
  MaturityQuestion,
  MistingQuestion,
  checkedShape,
  PostponementQuestion,
  SurfaceQuestion,
  WeatherQuestion,
  WindowsQuestion,
} from '@dewpot/contract';
import { Calculated } from '../calculation/calculated.js';
import { apiExample } from './api-example.js';
import { curingExamples } from './curing-examples.js';

/** What lies further ahead is out of sight, hours. */
const HORIZON = 90 * 24;

const inOrder = (readings: readonly TemperatureReading[]) => [...readings].sort((a, b) => a.hour - b.hour);

/** Windows of a mould that was filled, hours since the pour; nothing for what is out of sight. */
interface Windows {
  readonly pulls: readonly {
    readonly core: string;
    readonly good?: number;
    readonly late?: number;
    readonly how: Message;
  }[];
  readonly demould: { readonly age: number; readonly at?: number };
  readonly bears: readonly { readonly bearing: Bearing; readonly at?: number; readonly told: Message }[];
}

/** Working for scripts about the first days. Nothing is kept. */
@Calculated()
@Controller('api/calculate/curing')
export class CuringApiController {
  @Post('maturity')
  @HttpCode(200)
  @apiExample(MaturityQuestion, curingExamples.maturity)
  maturity(@Body() { readings, hours, binderClass, datum }: MaturityQuestion): Maturity {
    return calculateMaturity(inOrder(readings), hours, binderClass, datum);
  }

  /** The earliest safe demoulding of a mould with a mix, learned from those before. */
  @Post('demould')
  @HttpCode(200)
  @apiExample(DemouldQuestion, curingExamples['demould'])
  demould(@Body() { binderClass, piece, lightweight, records, ...ways }: DemouldQuestion): LearnedDemouldAge {
    return learnDemouldAge(handbookDemouldAge(binderClass, piece, lightweight), records, ways);
  }

  /** When cores are pulled, the piece is demoulded, handled, walked on and loaded. */
  @Post('windows')
  @HttpCode(200)
  @apiExample(WindowsQuestion, curingExamples.windows)
  windows(@Body() { readings, binderClass, piece, lightweight, shape, release, ...times }: WindowsQuestion): Windows {
    const course = ageCourse(inOrder(readings), binderClass);
    const at = (age: number | undefined, name = 'at') => {
      const hour = age === undefined ? undefined : hourOfAge(course, 0, age, HORIZON);
      return hour === undefined ? {} : { [name]: hour };
    };
    const set = initialSetAt20(binderClass, times);
    const age = handbookDemouldAge(binderClass, piece, lightweight);
    return {
      pulls: pulledCores(checkedShape(shape), release).map(({ name, window: { good, late, how } }) => ({
        core: name,
        ...at(good * set, 'good'),
        ...at(late * set, 'late'),
        how,
      })),
      demould: { age, ...at(age) },
      bears: bearings.map(({ bearing, share, told }) => ({ bearing, told, ...at(ageOfShare(binderClass, share)) })),
    };
  }

  /** Frost, cold and heat on a young piece; hours since the pour. */
  @Post('weather')
  @HttpCode(200)
  @apiExample(WeatherQuestion, curingExamples.weather)
  weather(@Body() { readings, binderClass, now, strength }: WeatherQuestion): { warnings: WeatherWarning[] } {
    const sorted = inOrder(readings);
    const young = {
      course: ageCourse(sorted, binderClass),
      binderClass,
      poured: 0,
      now,
      until: defined(sorted[sorted.length - 1]).hour,
    };
    return { warnings: weatherWarnings({ ...young, ...(strength !== undefined && { strength }) }) };
  }

  @Post('evaporation')
  @HttpCode(200)
  @apiExample(EvaporationQuestion, curingExamples.evaporation)
  evaporation(@Body() question: EvaporationQuestion): { rate: Figure; advice: Message } {
    const rate = evaporation(question);
    return {
      rate: figure(rate, 'kg/m²/h', computed, [
        line(msg('server.concrete'), question.concrete, '°C'),
        line(msg('server.air'), question.ambient, '°C'),
        line(msg('server.humidity'), question.humidity * 100, '%'),
        line(msg('server.fromWetFace'), rate, 'kg/m²/h', msg('curing.nomograph')),
      ]),
      advice: faceAdvice[faceRisk(rate)],
    };
  }

  /** What leaving it open, shade, cloth, film, a bag or a bath would each do. */
  @Post('covers')
  @HttpCode(200)
  @apiExample(CoversQuestion, curingExamples.covers)
  covers(@Body() { lightweight, waking, ...ambient }: CoversQuestion): { covers: CoverEffect[] } {
    return { covers: compareCovers(ambient, lightweight, waking) };
  }

  /** When a face under a cover is wetted, inside the caster's waking hours. */
  @Post('misting')
  @HttpCode(200)
  @apiExample(MistingQuestion, curingExamples.misting)
  misting(@Body() { lightweight, waking, cover, ...ambient }: MistingQuestion): MistingPlan {
    return mistingPlan(evaporationUnder(cover, ambient), lightweight, waking);
  }

  /** How wet a face was kept: wettings done and missed. */
  @Post('surface')
  @HttpCode(200)
  @apiExample(SurfaceQuestion, curingExamples.surface)
  surface(@Body() { stretches, wettings, lightweight }: SurfaceQuestion): SurfaceRecord {
    return surfaceRecord(stretches, wettings, lightweight);
  }

  /** When a moist curing ends: by a share of strength, by days or by a school. */
  @Post('moist-curing-end')
  @HttpCode(200)
  @apiExample(DampEndQuestion, curingExamples['moist-curing-end'])
  moistCuringEnd(@Body() { binderClass, longer, ...cure }: DampEndQuestion): MoistCuringEnd & { rule: Message } {
    return {
      ...moistCuringEnd(binderClass, cure as MoistCuring, longer),
      rule: moistCuringInWords(cure as MoistCuring),
    };
  }

  /** How far a piece is leached for plants, fish or birds. */
  @Post('leaching')
  @HttpCode(200)
  @apiExample(LeachingQuestion, curingExamples.leaching)
  leaching(@Body() { readings, soaks }: LeachingQuestion): Leaching & { caution: Message; note?: Message } {
    const note = bathNote('leach', 'portland');
    return { ...leaching(readings, soaks), caution: baths.leach.caution, ...(note && { note }) };
  }

  /** What putting a task off costs. */
  @Post('postponement')
  @HttpCode(200)
  @apiExample(PostponementQuestion, curingExamples.postponement)
  postponement(@Body() { until, ...window }: PostponementQuestion): PostponementCost {
    return postponementCost(window, until);
  }
}
