import { msg } from '@dewpot/core/units';
import { Body, Controller, Get, HttpCode, Post } from '@nestjs/common';
import {
  bulkByWeighing,
  handbookMaterials,
  shoppingList,
  shortagesOf,
  type HandbookMaterial,
  type Lot,
} from '@dewpot/core/materials';
import { measuringChoices, proposeWay } from '@dewpot/core/measuring';
import {
  batchCost,
  broughtWater,
  calculateMix,
  changeHolding,
  compareMixes,
  consistency,
  costPerLitre,
  demandRatio,
  drySolids,
  gradeOfSpread,
  largestFromStore,
  lighten,
  massesPerPart,
  methodOf,
  moistureByDrying,
  potLifeAndSet,
  scaleMasses,
  shrunkenMean,
  sizeToBucket,
  sizeToMass,
  sizeToVolume,
  starters,
  toldBy,
  tooWet,
  waterCut,
  weighDose,
  type BatchMasses,
  type Mix,
  type MixFigures,
  type PotLifeAndSet,
  type Starter,
} from '@dewpot/core/mixes';
import { waterPlan } from '@dewpot/core/pours';
import {
  BulkQuestion,
  CompareQuestion,
  CostQuestion,
  HoldQuestion,
  LearnedQuestion,
  LightenQuestion,
  MeasuresQuestion,
  MethodQuestion,
  MixQuestion,
  MoistureQuestion,
  PartsQuestion,
  type PlainLot,
  ShoppingQuestion,
  SizeQuestion,
  SpreadQuestion,
  TimesQuestion,
  TooWetQuestion,
  WaterQuestion,
  WeighedDosesQuestion,
} from '@dewpot/contract';
import { Calculated } from '../calculation/calculated.js';
import { apiExample } from './api-example.js';
import { nameOf } from './names.js';
import { mixExamples as examples } from './mix-examples.js';
import { checkedMix, materialFinder, plainBatch, plainConditions, plainMix, plainScoops } from './question-mix.js';

/** A batch as a script reads it, g by material. */
const told = (batch: BatchMasses) => ({
  volume: batch.volume,
  water: batch.totalWater,
  materials: batch.portions.map(({ material: { id }, mass }) => ({ material: id, mass })),
  doses: batch.doses.map(({ dose, mass }) => ({ material: dose.material.id, mass })),
});

const linesOf = ({ lines }: Mix) => lines.map(({ material: { id }, parts }) => ({ material: id, parts }));

/** The lots of a question, first come first taken. */
const knownLots = (lots: readonly PlainLot[]): Lot[] =>
  lots.map(({ material, ...lot }, i) => ({ ...lot, materialId: material, boughtAt: i }));

/** Mix questions for scripts: a plain description in, figures with basis and working out. Nothing is kept. */
@Calculated()
@Controller('api/calculate/mixes')
export class MixApiController {
  /** Everything that a recipe implies. */
  @Post('mix')
  @HttpCode(200)
  @apiExample(MixQuestion, examples.mix)
  mix(@Body() question: MixQuestion): MixFigures {
    return calculateMix(plainMix(question), plainConditions(question));
  }

  /** The doses of a batch, as a scale and a spoon give them. */
  @Post('doses')
  @HttpCode(200)
  @apiExample(WeighedDosesQuestion, examples.doses)
  doses(@Body() question: WeighedDosesQuestion) {
    const batch = plainBatch(question, checkedMix(question.mix));
    return { doses: batch.doses.map((dose) => weighDose(dose, question.scaleStep, batch)) };
  }

  /** The water of a batch: from the tap, held back, the splash and the ceiling. */
  @Post('water')
  @HttpCode(200)
  @apiExample(WaterQuestion, examples.water)
  water(@Body() question: WaterQuestion) {
    const mix = checkedMix(question.mix);
    const { order, moisture = {} } = question;
    return waterPlan(mix, plainBatch(question, mix), { moisture, order });
  }

  /** A batch measured out in every way that there are vessels for, and the way that is proposed. */
  @Post('measures')
  @HttpCode(200)
  @apiExample(MeasuresQuestion, examples.measures)
  measures(@Body() question: MeasuresQuestion) {
    const mix = checkedMix(question.mix);
    const { moisture = {}, step, scaleStep, spare = 0, binderClass = 'portland' } = question;
    const batch = scaleMasses(plainBatch(question, mix), 1 + spare);
    const scoops = plainScoops(question.scoops);
    const measuring = { mix, conditions: plainConditions(question.mix), moisture, spare, vessels: { scoop: scoops[0], scoops, step, scaleStep } }; // prettier-ignore
    return {
      proposed: proposeWay(batch, measuring, binderClass),
      ways: measuringChoices(batch, measuring),
    };
  }

  /** What to add to a batch that came out too wet. */
  @Post('too-wet')
  @HttpCode(200)
  @apiExample(TooWetQuestion, examples['too-wet'])
  tooWet(@Body() question: TooWetQuestion) {
    const batch = plainBatch(question, checkedMix(question.mix));
    const { moisture = {}, really } = question;
    return { ...tooWet(batch, really, moisture), brought: broughtWater(batch, moisture) };
  }

  /** A batch of a volume, of a bucketful, or that uses up a mass of one material. */
  @Post('size')
  @HttpCode(200)
  @apiExample(SizeQuestion, examples.size)
  size(@Body() { mix, to, size, material = '' }: SizeQuestion) {
    const perPart = massesPerPart(checkedMix(mix), plainConditions(mix));
    if (to === 'mass') return told(sizeToMass(perPart, material, size));
    return told((to === 'volume' ? sizeToVolume : sizeToBucket)(perPart, size));
  }

  /** One line changed while the ratio, w/c, the strength or the density stays. */
  @Post('hold')
  @HttpCode(200)
  @apiExample(HoldQuestion, examples.hold)
  hold(@Body() { mix, ...change }: HoldQuestion) {
    const held = changeHolding(plainMix(mix), change, plainConditions(mix));
    return { lines: linesOf(held) };
  }

  /** Made lighter by a share of its dry density, and what that costs in strength. */
  @Post('lighten')
  @HttpCode(200)
  @apiExample(LightenQuestion, examples.lighten)
  lighten(@Body() { mix, share, light }: LightenQuestion) {
    const lightest = materialFinder(mix.materials)(light, 'light');
    const { mix: lighter, ...rest } = lighten(plainMix(mix), share, lightest, plainConditions(mix));
    return { ...rest, lines: linesOf(lighter) };
  }

  /** Up to four mixes side by side. */
  @Post('compare')
  @HttpCode(200)
  @apiExample(CompareQuestion, examples.compare)
  compare(@Body() { mixes, temperature, volume }: CompareQuestion) {
    const compared = mixes.map(({ name, mix, binderClass }) => ({
      name,
      mix: plainMix(mix),
      binderClass,
      conditions: plainConditions(mix),
    }));
    return { rows: compareMixes(compared, { temperature, volume, lots: [] }) };
  }

  /** How it is mixed, step by step. */
  @Post('method')
  @HttpCode(200)
  @apiExample(MethodQuestion, examples.method)
  method(@Body() { mix, binderClass, order, colour }: MethodQuestion) {
    return { steps: methodOf(checkedMix(mix), binderClass, { ...(order && { order }), ...(colour && { colour }) }) };
  }

  /** Pot life and initial set at the bench: as given for the mix, by its bags, or the handbook's. */
  @Post('times')
  @HttpCode(200)
  @apiExample(TimesQuestion, examples.times)
  times(@Body() { mix, binderClass, temperature }: TimesQuestion): PotLifeAndSet {
    return potLifeAndSet(checkedMix(mix), binderClass, temperature);
  }

  /** The same recipe in parts of volume or of mass. */
  @Post('parts')
  @HttpCode(200)
  @apiExample(PartsQuestion, examples.parts)
  parts(@Body() { mix, to }: PartsQuestion) {
    return { lines: linesOf(toldBy(checkedMix(mix), to)) };
  }

  /** What a batch and a litre of it cost by the lots in store, and the largest batch that they allow. */
  @Post('cost')
  @HttpCode(200)
  @apiExample(CostQuestion, examples.cost)
  cost(@Body() question: CostQuestion) {
    const batch = plainBatch(question, checkedMix(question.mix));
    const lots = knownLots(question.lots);
    const largest = largestFromStore(batch, lots);
    return {
      batch: batchCost(batch, lots, msg('server.theBatch')),
      litre: costPerLitre(batch, lots),
      ...(largest && { largest: { ...told(largest.batch), shortest: largest.shortest.id } }),
    };
  }

  /** The consistency that a spread test tells. */
  @Post('spread')
  @HttpCode(200)
  @apiExample(SpreadQuestion, examples.spread)
  spread(@Body() { puddle, cup }: SpreadQuestion) {
    const { grade, spread } = gradeOfSpread(puddle, cup);
    return { ...consistency(grade), measured: spread };
  }

  /** The loose density of a material from what a scoop of it weighs. */
  @Post('bulk')
  @HttpCode(200)
  @apiExample(BulkQuestion, examples.bulk)
  bulk(@Body() { mass, scoops, scoop }: BulkQuestion) {
    return { bulk: bulkByWeighing(mass, scoops, { id: 'scoop', name: nameOf(msg('server.theScoop')), volume: scoop }) };
  }

  /** The moisture of a handful, weighed damp and dried. */
  @Post('moisture')
  @HttpCode(200)
  @apiExample(MoistureQuestion, examples.moisture)
  moisture(@Body() { damp, dry }: MoistureQuestion) {
    return { moisture: moistureByDrying(damp, dry) };
  }

  /** What batches taught of a mix's thirst: each one's ratio to the handbook, and their shrunken mean. */
  @Post('learned')
  @HttpCode(200)
  @apiExample(LearnedQuestion, examples.learned)
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
  @apiExample(ShoppingQuestion, examples.shopping)
  shopping(@Body() { wanted, lots }: ShoppingQuestion) {
    const known = knownLots(lots);
    const short = shortagesOf(
      wanted.map(({ material, mass }) => ({ materialId: material, name: material, mass })),
      known,
    );
    return { list: shoppingList(short, known) };
  }

  /** The handbook's materials with their figures, by which lines and doses name them. */
  @Get('materials')
  materials(): readonly HandbookMaterial[] {
    return handbookMaterials;
  }

  /** The mixes to start from. */
  @Get('library')
  library(): readonly Starter[] {
    return starters;
  }
}
