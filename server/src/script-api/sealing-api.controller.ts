import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import { computed, figure, line, type Figure, msg, exactly, type Message } from '@dewpot/core/units';
import { calculateMould } from '@dewpot/core/moulds';
import { sealers } from '@dewpot/core/materials';
import {
  againstDecoration,
  againstSealer,
  calculateDryDown,
  calendarDays,
  checksFor,
  coatRemarks,
  dryingPace,
  dryingPaces,
  learnedEase,
  likelyPiece,
  meanPace,
  readFilmTest,
  readTile,
  recoatWindow,
  resealMonths,
  sampleSize,
  sealAdvice,
  sealerVolume,
  shareTogether,
  underForecast,
  type CoatRemark,
  type DryDown,
  type LearnedEase,
  type LikelyPiece,
  type RecoatWindow,
  type SealAdvice,
  type SealCheck,
} from '@dewpot/core/sealing';
import { simulate, type Outcome, type SimulatedHour } from '@dewpot/core/simulation';
import {
  againstBond,
  bondsFor,
  calculateArticle,
  joinRemarks,
  type ArticleFigures,
  type Bond,
  type JoinRemark,
} from '@dewpot/core/assembly';
import { careNote, filledMass, plantedMass, type CareNote } from '@dewpot/core/care';
import { facesToSeal } from '@dewpot/core/casts';
import {
  AfterSealQuestion,
  ArticleQuestion,
  CareNoteQuestion,
  CoatQuestion,
  DecorationQuestion,
  DryDownQuestion,
  JoiningQuestion,
  OpensQuestion,
  OverridesQuestion,
  PlantedQuestion,
  SimulationQuestion,
  SealerQuestion,
  SealSchoolQuestion,
  checkedShape,
  TileInput,
  TogetherQuestion,
  WhichPieceQuestion,
  WithoutScaleQuestion,
} from '@dewpot/contract';
import { Calculated } from '../calculation/calculated.js';
import { apiExample } from './api-example.js';
import { sealingExamples as examples } from './sealing-examples.js';

/** Of a simulation's hours every so many are told. */
const TOLD_EVERY = 6;

/** Working for scripts from drying to the door. Nothing is kept. */
@Calculated()
@Controller('api/calculate/sealing')
export class SealingApiController {
  @Post('dry-down')
  @HttpCode(200)
  @apiExample(DryDownQuestion, examples['dry-down'])
  dryDown(@Body() { weighings, dry, loss, binderClass, ...ways }: DryDownQuestion): DryDown {
    return calculateDryDown(weighings, { dry, loss }, binderClass, ways);
  }

  /** When the gate opens in the air ahead. Hours since the pour. */
  @Post('opens')
  @HttpCode(200)
  @apiExample(OpensQuestion, examples.opens)
  opens(@Body() { opens, from, past, ahead }: OpensQuestion): { opens: Figure } {
    const pace = meanPace(dryingPaces(past), past[0]?.hour ?? from, from);
    const hour = underForecast(opens, from, pace, dryingPaces(ahead));
    return {
      opens: figure(hour, 'h', computed, [
        line(msg('server.byWeighings'), opens, 'h'),
        line(msg('server.paceSoFar'), pace, 'ratio', msg('server.paceUnit', { temperature: exactly(20, '°C') })),
        line(msg('server.airAhead'), hour, 'h'),
      ]),
    };
  }

  /** Several small pieces on the scale together: the share of each, and how many like ones need weighing at all. */
  @Post('together')
  @HttpCode(200)
  @apiExample(TogetherQuestion, examples.together)
  together(@Body() question: TogetherQuestion): { shares: { mass: number; step: number }[]; sample: number } {
    return { shares: shareTogether(question), sample: sampleSize(question.dry.length) };
  }

  /** Whether a mass is that of the piece it is put down to. */
  @Post('which-piece')
  @HttpCode(200)
  @apiExample(WhichPieceQuestion, examples['which-piece'])
  whichPiece(@Body() { mass, said, others }: WhichPieceQuestion): LikelyPiece {
    return likelyPiece(mass, said, others);
  }

  /** What a taped film or the calendar says. */
  @Post('without-scale')
  @HttpCode(200)
  @apiExample(WithoutScaleQuestion, examples['without-scale'])
  withoutScale(@Body() { dry, loss, ambient, film = false, hours, drops }: WithoutScaleQuestion) {
    const days = calendarDays({ dry, loss }, dryingPace(ambient), { film });
    return { days, ...(hours !== undefined && drops !== undefined && { test: readFilmTest({ hours, drops }) }) };
  }

  /** How far overrides that went well have moved the limit. */
  @Post('overrides')
  @HttpCode(200)
  @apiExample(OverridesQuestion, examples.overrides)
  overrides(@Body() { overrides, film }: OverridesQuestion): LearnedEase {
    return learnedEase(overrides, film);
  }

  /** How a piece is sealed for what it serves, and what speaks against a sealer that is to hand. */
  @Post('seal-school')
  @HttpCode(200)
  @apiExample(SealSchoolQuestion, examples['seal-school'])
  sealSchool(@Body() { uses, sealer, side = 'both' }: SealSchoolQuestion): { advice: SealAdvice; against: Message[] } {
    return { advice: sealAdvice(uses), against: sealer ? againstSealer(sealers[sealer], uses, side) : [] };
  }

  /** mL of a sealer for these pieces, by their faces. */
  @Post('sealer')
  @HttpCode(200)
  @apiExample(SealerQuestion, examples.sealer)
  sealer(@Body() { shape, side, pieces, coats, sealer, sheet, porous, joined = 0 }: SealerQuestion): {
    volume: Figure;
  } {
    const area = Math.max(0, facesToSeal(checkedShape(shape), side) - joined) * pieces;
    return { volume: sealerVolume(area, coats, sheet ?? sealer, porous ? 'porous' : 'dense') };
  }

  /** What speaks against a coat now, and the window for the one after it. */
  @Post('coat')
  @HttpCode(200)
  @apiExample(CoatQuestion, examples.coat)
  coat(@Body() { sealer: kind, at, ambient, lastAt, ...rest }: CoatQuestion): {
    remarks: CoatRemark[];
    next: RecoatWindow;
  } {
    const sealer = sealers[kind];
    const last = lastAt === undefined ? {} : { last: { at: lastAt, sealer } };
    return {
      remarks: coatRemarks({ sealer, at, ambient, ...last, ...rest }),
      next: recoatWindow(sealer, at, ambient),
    };
  }

  @Post('tile')
  @HttpCode(200)
  @apiExample(TileInput, examples.tile)
  tile(@Body() tile: TileInput): { good: boolean; told: readonly Message[] } {
    return readTile(tile);
  }

  @Post('decoration')
  @HttpCode(200)
  @apiExample(DecorationQuestion, examples.decoration)
  decoration(@Body() question: DecorationQuestion): { against: Message[] } {
    return { against: againstDecoration(question) };
  }

  /** Parts joined into one thing: joints, what holds them by mass, clamping, size, mass, tilt. */
  @Post('article')
  @HttpCode(200)
  @apiExample(ArticleQuestion, examples.article)
  article(@Body() { parts, ...plan }: ArticleQuestion): ArticleFigures & { holds: Bond[]; against?: Message } {
    const against = againstBond(plan.bond, plan.uses);
    const figures = calculateArticle({
      ...plan,
      parts: parts.map(({ shape, ...part }, i) => ({ ...part, shape: checkedShape(shape, `parts.${i}.shape`) })),
    });
    return { ...figures, holds: bondsFor(plan.uses), ...(against && { against }) };
  }

  /** Whether these casts can be joined now. */
  @Post('joining')
  @HttpCode(200)
  @apiExample(JoiningQuestion, examples.joining)
  joining(@Body() { parts, bond }: JoiningQuestion): { remarks: JoinRemark[] } {
    return { remarks: joinRemarks(parts, bond) };
  }

  /** What is tried once a coat is hard, and when it is sealed again. */
  @Post('after-seal')
  @HttpCode(200)
  @apiExample(AfterSealQuestion, examples['after-seal'])
  afterSeal(@Body() { sealer, uses }: AfterSealQuestion): { checks: SealCheck[]; resealMonths: number } {
    return { checks: checksFor(uses, sealer), resealMonths: resealMonths(sealer, uses) };
  }

  /** What a pot weighs planted; what a jar holds to its line, in water and in wax. */
  @Post('planted')
  @HttpCode(200)
  @apiExample(PlantedQuestion, examples.planted)
  planted(@Body() { dry, shape, fillGap }: PlantedQuestion) {
    const { planting, jar } = calculateMould(checkedShape(shape), {
      flexibility: 'rigid',
      piece: 'pot',
      ...(fillGap !== undefined && { fillGap }),
    });
    return {
      ...(planting && { planting, planted: plantedMass(dry, planting.value) }),
      ...(jar && { ...jar, full: filledMass(dry, jar.held.value) }),
    };
  }

  @Post('care-note')
  @HttpCode(200)
  @apiExample(CareNoteQuestion, examples['care-note'])
  careNote(@Body() facts: CareNoteQuestion): CareNote {
    return careNote(facts);
  }

  /** Forty days of a piece, every six hours, and what comes of them. */
  @Post('simulation')
  @HttpCode(200)
  @apiExample(SimulationQuestion, examples.simulation)
  simulation(@Body() { piece, choices }: SimulationQuestion): { hours: SimulatedHour[]; outcomes: readonly Outcome[] } {
    const { hours, outcomes } = simulate(piece, choices);
    return { hours: hours.filter(({ hour }) => hour % TOLD_EVERY === 0), outcomes };
  }
}
