import { Body, Controller, Get, HttpCode, Post } from '@nestjs/common';
import {
  broughtWater,
  bulkByWeighing,
  changeHolding,
  checkMix,
  compareMixes,
  consistency,
  demandRatio,
  drySolids,
  gradeOfSpread,
  lighten,
  massesPerPart,
  measuringChoices,
  proposeWay,
  scaleMasses,
  methodOf,
  moistureByDrying,
  reckonMix,
  shoppingList,
  shortagesOf,
  shrunkenMean,
  sizeToBucket,
  sizeToMass,
  sizeToVolume,
  starters,
  tooWet,
  waterCut,
  waterPlan,
  weighDose,
  type BatchMasses,
  type MixFigures,
  type Starter,
} from '@dewpot/core';
import {
  BulkQuestion,
  CompareQuestion,
  HoldQuestion,
  LearnedQuestion,
  LightenQuestion,
  MeasuresQuestion,
  MethodQuestion,
  MixQuestion,
  MoistureQuestion,
  ShoppingQuestion,
  SizeQuestion,
  SpreadQuestion,
  TooWetQuestion,
  WaterQuestion,
  WeighedDosesQuestion,
} from '@dewpot/contract';
import { Calculated } from '../calculation/calculated.js';
import { asked } from './asked.js';
import { mixExamples as examples } from './mix-examples.js';
import { plainBatch, plainConditions, plainMaterial, plainMix, plainScoops } from './plain-mix.js';

/** A batch as a script reads it, g by material. */
const told = (batch: BatchMasses) => ({
  volume: batch.volume,
  water: batch.totalWater,
  materials: batch.portions.map(({ material: { id }, mass }) => ({ material: id, mass })),
  doses: batch.doses.map(({ dose, mass }) => ({ material: dose.material.id, mass })),
});

/** Mix questions for scripts: a plain description in, figures with basis and working out. Nothing is kept. */
@Calculated()
@Controller('api/reckon/mixes')
export class MixReckonController {
  /** Everything that a recipe implies. */
  @Post('mix')
  @HttpCode(200)
  @asked(MixQuestion, examples.mix)
  mix(@Body() question: MixQuestion): MixFigures {
    return reckonMix(plainMix(question), plainConditions(question));
  }

  /** The doses of a batch, as a scale and a spoon give them. */
  @Post('doses')
  @HttpCode(200)
  @asked(WeighedDosesQuestion, examples.doses)
  doses(@Body() question: WeighedDosesQuestion) {
    checkMix(plainMix(question.mix));
    const batch = plainBatch(question);
    return { doses: batch.doses.map((dose) => weighDose(dose, question.scaleStep, batch)) };
  }

  /** The water of a batch: from the tap, held back, the splash and the ceiling. */
  @Post('water')
  @HttpCode(200)
  @asked(WaterQuestion, examples.water)
  water(@Body() question: WaterQuestion) {
    checkMix(plainMix(question.mix));
    const { order, moisture = {} } = question;
    return waterPlan(plainMix(question.mix), plainBatch(question), { moisture, order });
  }

  /** A batch measured out in every way that there are vessels for, and the way that is proposed. */
  @Post('measures')
  @HttpCode(200)
  @asked(MeasuresQuestion, examples.measures)
  measures(@Body() question: MeasuresQuestion) {
    const mix = plainMix(question.mix);
    checkMix(mix);
    const { moisture = {}, step, scaleStep, spare = 0, setting = 'portland' } = question;
    const batch = scaleMasses(plainBatch(question), 1 + spare);
    const scoops = plainScoops(question.scoops);
    const measuring = { mix, conditions: plainConditions(question.mix), moisture, spare, vessels: { scoop: scoops[0], scoops, step, scaleStep } }; // prettier-ignore
    return {
      proposed: proposeWay(batch, measuring, setting),
      ways: measuringChoices(batch, measuring),
    };
  }

  /** What to add to a batch that came out too wet. */
  @Post('too-wet')
  @HttpCode(200)
  @asked(TooWetQuestion, examples['too-wet'])
  tooWet(@Body() question: TooWetQuestion) {
    checkMix(plainMix(question.mix));
    const batch = plainBatch(question);
    const { moisture = {}, really } = question;
    return { ...tooWet(batch, really, moisture), brought: broughtWater(batch, moisture) };
  }

  /** A batch of a volume, of a bucketful, or that uses up a mass of one material. */
  @Post('size')
  @HttpCode(200)
  @asked(SizeQuestion, examples.size)
  size(@Body() { mix, to, size, material = '' }: SizeQuestion) {
    checkMix(plainMix(mix));
    const perPart = massesPerPart(plainMix(mix), plainConditions(mix));
    if (to === 'mass') return told(sizeToMass(perPart, material, size));
    return told((to === 'volume' ? sizeToVolume : sizeToBucket)(perPart, size));
  }

  /** One line changed while the ratio, w/c, the strength or the density stays. */
  @Post('hold')
  @HttpCode(200)
  @asked(HoldQuestion, examples.hold)
  hold(@Body() { mix, ...change }: HoldQuestion) {
    const held = changeHolding(plainMix(mix), change, plainConditions(mix));
    return { lines: held.lines.map(({ material: { id }, parts }) => ({ material: id, parts })) };
  }

  /** Made lighter by a share of its dry density, and what that costs in strength. */
  @Post('lighten')
  @HttpCode(200)
  @asked(LightenQuestion, examples.lighten)
  lighten(@Body() { mix, share, light }: LightenQuestion) {
    const { mix: lighter, ...rest } = lighten(plainMix(mix), share, plainMaterial(light), plainConditions(mix));
    return { ...rest, lines: lighter.lines.map(({ material: { id }, parts }) => ({ material: id, parts })) };
  }

  /** Up to four mixes side by side. */
  @Post('compare')
  @HttpCode(200)
  @asked(CompareQuestion, examples.compare)
  compare(@Body() { mixes, temperature, volume }: CompareQuestion) {
    const compared = mixes.map(({ name, mix, setting }) => ({
      name,
      mix: plainMix(mix),
      setting,
      conditions: plainConditions(mix),
    }));
    return { rows: compareMixes(compared, { temperature, volume, lots: [] }) };
  }

  /** How it is mixed, step by step. */
  @Post('method')
  @HttpCode(200)
  @asked(MethodQuestion, examples.method)
  method(@Body() { mix, setting, order, colour }: MethodQuestion) {
    checkMix(plainMix(mix));
    return { steps: methodOf(plainMix(mix), setting, { ...(order && { order }), ...(colour && { colour }) }) };
  }

  /** The consistency that a spread test tells. */
  @Post('spread')
  @HttpCode(200)
  @asked(SpreadQuestion, examples.spread)
  spread(@Body() { puddle, cup }: SpreadQuestion) {
    const { grade, spread } = gradeOfSpread(puddle, cup);
    return { ...consistency(grade), measured: spread };
  }

  /** The loose density of a material from what a scoop of it weighs. */
  @Post('bulk')
  @HttpCode(200)
  @asked(BulkQuestion, examples.bulk)
  bulk(@Body() { mass, scoops, scoop }: BulkQuestion) {
    return { bulk: bulkByWeighing(mass, scoops, { id: 'scoop', name: 'the scoop', volume: scoop }) };
  }

  /** The moisture of a handful, weighed damp and dried. */
  @Post('moisture')
  @HttpCode(200)
  @asked(MoistureQuestion, examples.moisture)
  moisture(@Body() { damp, dry }: MoistureQuestion) {
    return { moisture: moistureByDrying(damp, dry) };
  }

  /** What batches taught of a mix's thirst: each one's ratio to the handbook, and their shrunken mean. */
  @Post('learned')
  @HttpCode(200)
  @asked(LearnedQuestion, examples.learned)
  learned(@Body() { batches }: LearnedQuestion) {
    const ratios = batches.map(({ mix, volume, water, grade }) =>
      demandRatio({
        solids: drySolids(plainBatch({ mix, volume })),
        totalWater: water,
        grade,
        cut: waterCut(plainMix(mix)),
      }),
    );
    return { ratios, ...shrunkenMean(ratios) };
  }

  /** What is missing, and what to buy in whole bags. */
  @Post('shopping')
  @HttpCode(200)
  @asked(ShoppingQuestion, examples.shopping)
  shopping(@Body() { wanted, lots }: ShoppingQuestion) {
    const known = lots.map(({ material, ...lot }, i) => ({ ...lot, materialId: material, boughtAt: i }));
    const short = shortagesOf(
      wanted.map(({ material, mass }) => ({ materialId: material, name: material, mass })),
      known,
    );
    return { list: shoppingList(short, known) };
  }

  /** The mixes to start from. */
  @Get('library')
  library(): readonly Starter[] {
    return starters;
  }
}
