import { msg } from '@dewpot/core/units';
import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import { defined } from '@dewpot/core/math';
import { layInset } from '@dewpot/core/moulds';
import { BUCKET_SHARE } from '@dewpot/core/mixes';
import {
  bucketNow,
  checkRunEvent,
  coreHolds,
  partNow,
  runOf,
  stepsOf,
  timelineOf,
  type CoreHold,
  type Timeline,
} from '@dewpot/core/bench';
import { judgePour, type JudgeContext, type Judgement } from '@dewpot/core/judging';
import {
  calculateSheet,
  catchMoulds,
  cutList,
  feetFor,
  filledInTime,
  freeMoulds,
  heldSpots,
  mouldsPerBatch,
  placingsOf,
  splitIntoBatches,
  type BatchSplit,
  type Placing,
  type PourItem,
  type PourPlan,
  type Sheet,
} from '@dewpot/core/pours';
import {
  BatchesQuestion,
  CutQuestion,
  FreeQuestion,
  HourQuestion,
  InsetQuestion,
  LeftoverQuestion,
  RunQuestion,
  checkedShape,
  SheetQuestion,
  SpotsQuestion,
  type SheetItem,
} from '@dewpot/contract';
import { Calculated } from '../calculation/calculated.js';
import { apiExample } from './api-example.js';
import { nameOf } from './names.js';
import { plainConditions, plainMix, plainScoops } from './question-mix.js';
import { pourExamples as examples } from './pour-examples.js';

const LIFT_LIMIT = 25000;

const itemOf = ({ shape, name, mould: _, ...item }: SheetItem, i: number): PourItem => ({
  ...item,
  shape: checkedShape(shape, `items.${i}.shape`),
  mouldId: String(i),
  name: name ?? nameOf(msg('server.mouldNumber', { i: i + 1 })),
});

function partOf({
  items,
  mix,
  scoop,
  scoops,
  step,
  scaleStep,
  measuring,
  spare,
  bucket,
  temperature,
  binderClass = 'portland',
}: SheetQuestion) {
  const plan: PourPlan = {
    items: items.map(itemOf),
    mix: plainMix(mix),
    binderClass,
    spare,
    step,
    bucket,
    temperature,
    moisture: {},
    ...(scoop !== undefined && { scoop: defined(plainScoops([scoop])[0]) }),
    ...(scoops && { scoops: plainScoops(scoops) }),
    ...(scaleStep !== undefined && { scaleStep }),
    ...(measuring && { measuring }),
    conditions: plainConditions(mix),
    lots: [],
    liftLimit: LIFT_LIMIT,
  };
  return { plan, sheet: calculateSheet(plan) };
}

/** What a question says of the moulds, the use and the hours ahead. */
function contextOf({ items, release, uses, unfit, ahead }: SheetQuestion): JudgeContext {
  const moulds = items.flatMap(({ mould }, i) => (mould ? [[String(i), mould] as const] : []));
  return {
    moulds: Object.fromEntries(moulds),
    ...(release && { release }),
    ...(uses && { uses }),
    ...(unfit && { unfit }),
    ...(ahead && { ahead }),
  };
}

/** Questions of a pour for scripts: its sheet, its hour, its run. Nothing is kept. */
@Calculated()
@Controller('api/calculate/pours')
export class PourApiController {
  /** The mixing sheet: measures, grams, water, buckets and pieces, how the moulds are filled, and what speaks against them. */
  @Post('sheet')
  @HttpCode(200)
  @apiExample(SheetQuestion, examples.sheet)
  sheet(@Body() question: SheetQuestion): Sheet & Judgement & { placings: Placing[] } {
    const { plan, sheet } = partOf(question);
    return { ...sheet, placings: placingsOf(plan), ...judgePour(plan, sheet, contextOf(question)) };
  }

  /** The steps of a pour in their time, what would stiffen or clash, and what holds its cores down. */
  @Post('hour')
  @HttpCode(200)
  @apiExample(HourQuestion, examples.hour)
  hour(
    @Body() { start, release, finish = 'broom', people = 1, ...question }: HourQuestion,
  ): Timeline & { cores: CoreHold[] } {
    const part = partOf(question);
    const steps = stepsOf([part], { finish, people, ...(release && { release }) });
    return { ...timelineOf(steps, { start }), cores: coreHolds(part) };
  }

  /** What a pour comes to after what happened at the bench: each bucket as it is, what is left, what can still be filled. */
  @Post('run')
  @HttpCode(200)
  @apiExample(RunQuestion, examples.run)
  run(@Body() { events, ...question }: RunQuestion) {
    const parts = [partOf(question)];
    const steps = stepsOf(parts, { finish: 'broom', people: 1 });
    for (const told of events) checkRunEvent(told, parts, steps);
    const run = runOf(events);
    return {
      buckets: defined(parts[0]).sheet.bucketfuls.map(({ at }) => bucketNow(parts, run, 0, at)),
      now: partNow(parts, steps, run, 0),
    };
  }

  /** The fewest buckets for moulds of these volumes, and which go into which. */
  @Post('batches')
  @HttpCode(200)
  @apiExample(BatchesQuestion, examples.batches)
  batches(
    @Body() { volumes, split = false, bucket, potLife, mixing, filling }: BatchesQuestion,
  ): { inTime: boolean } & Partial<BatchSplit> {
    const moulds = mouldsPerBatch(potLife, mixing, filling);
    const fills = volumes.map((volume, i) => ({ id: String(i), volume, split }));
    return {
      inTime: filledInTime(fills, moulds),
      ...splitIntoBatches(fills, { volume: bucket * BUCKET_SHARE, moulds }),
    };
  }

  /** Which moulds take what is left over, and what feet it makes. */
  @Post('leftover')
  @HttpCode(200)
  @apiExample(LeftoverQuestion, examples.leftover)
  leftover(@Body() { leftover, moulds, feet = [] }: LeftoverQuestion) {
    const pieces = feet.map((one, i) => ({ ...one, shape: checkedShape(one.shape, `feet.${i}.shape`) }));
    return { moulds: catchMoulds(leftover, moulds), feet: feetFor(leftover, pieces) };
  }

  /** Which copies of a mould are free, and when the next comes free. */
  @Post('free')
  @HttpCode(200)
  @apiExample(FreeQuestion, examples.free)
  free(@Body() { full, count, ...mould }: FreeQuestion) {
    return freeMoulds(
      mould,
      full.map((freeAt) => ({ mouldId: 'this', freeAt })),
      count,
    );
  }

  /** What is to be cut before a pour. */
  @Post('cut')
  @HttpCode(200)
  @apiExample(CutQuestion, examples.cut)
  cut(@Body() { items }: CutQuestion) {
    return { cuts: cutList(items.map(itemOf)) };
  }

  /** How lettering or a picture lies in its mould, mirrored where it lies on the bottom, and what it leaves. */
  @Post('inset')
  @HttpCode(200)
  @apiExample(InsetQuestion, examples.inset)
  inset(@Body() { shape, inset, ...ways }: InsetQuestion) {
    return layInset(checkedShape(shape), inset, ways);
  }

  /** Which places full moulds keep, because they cannot be moved. */
  @Post('spots')
  @HttpCode(200)
  @apiExample(SpotsQuestion, examples.spots)
  spots(@Body() { full, liftLimit, place }: SpotsQuestion) {
    const moulds = full.map((one) => ({ ...one, mouldId: one.name }));
    return { spots: heldSpots(moulds, liftLimit, place) };
  }
}
