import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import { initialSet, initialSetAt20 } from '@dewpot/core/binders';
import { stockFor } from '@dewpot/core/mixes';
import {
  baseOf,
  chipGrams,
  faceCover,
  fromBottle,
  gritsFor,
  hexOf,
  marble,
  matchWarnings,
  sandingDepth,
} from '@dewpot/core/tints';
import { layersOf, layerWait, type PourTint } from '@dewpot/core/pours';
import {
  BaseQuestion,
  BottleQuestion,
  ChipQuestion,
  LayersQuestion,
  MarblingQuestion,
  MatchQuestion,
  checkedShape,
  StockQuestion,
  TerrazzoQuestion,
} from '@dewpot/contract';
import { Calculated } from '../calculation/calculated.js';
import { apiExample } from './api-example.js';
import { materialFinder } from './question-mix.js';
import { tintExamples as examples } from './tint-examples.js';

/** A tint that only holds its place in a question about layers. */
const placeholder: PourTint = { id: 'layer', name: 'layer', revision: 0, colour: '#808080', doses: [] };

/** Questions of chips, layers and faces for scripts. Nothing is kept. */
@Calculated()
@Controller('api/calculate/tints')
export class ColouringApiController {
  /** How a base cures and dries without pigment, by its materials. */
  @Post('base')
  @HttpCode(200)
  @apiExample(BaseQuestion, examples.base)
  base(@Body() { parts, materials }: BaseQuestion) {
    const find = materialFinder(materials);
    const portions = parts.map(({ material, mass }, i) => ({ material: find(material, `parts.${i}.material`), mass }));
    return { colour: hexOf(baseOf(portions)) };
  }

  /** Grams of everything in one small chip. */
  @Post('chip')
  @HttpCode(200)
  @apiExample(ChipQuestion, examples.chip)
  chip(@Body() { binder, sand, doses, volume, materials }: ChipQuestion) {
    const find = materialFinder(materials);
    const base = { binder: find(binder, 'binder'), ...(sand && { sand: find(sand, 'sand') }) };
    const dosed = doses.map(({ material, amount }, i) => ({ material: find(material, `doses.${i}.material`), amount }));
    return chipGrams({ base, doses: dosed }, volume);
  }

  /** Height and volume of each layer of a mould, and the wait between two. */
  @Post('layers')
  @HttpCode(200)
  @apiExample(LayersQuestion, examples.layers)
  layers(@Body() { shape, shares, by, edge, fillTo, binderClass, temperature, ...times }: LayersQuestion) {
    const parts = shares.map((share) => ({ tint: placeholder, share }));
    const layers = layersOf({
      name: 'the piece',
      shape: checkedShape(shape),
      ...(fillTo !== undefined && { fillTo }),
      colouring: { kind: 'banded', by, edge, parts },
    });
    return {
      layers: layers.map(({ from, to, volume }) => ({ from, to, volume })),
      wait: layerWait(edge, initialSet(binderClass, temperature, initialSetAt20(binderClass, times)), temperature),
    };
  }

  /** How much of a sanded face is chips, and the grits to get there. */
  @Post('terrazzo')
  @HttpCode(200)
  @apiExample(TerrazzoQuestion, examples.terrazzo)
  terrazzo(@Body() { share, size, depth = sandingDepth(size), face }: TerrazzoQuestion) {
    return { cover: faceCover(share, size, depth), depth, grits: gritsFor(face) };
  }

  /** A stock of pigment in water, for a dose that the scale is too coarse for. */
  @Post('stock')
  @HttpCode(200)
  @apiExample(StockQuestion, examples.stock)
  stock(@Body() { mass, step }: StockQuestion) {
    return stockFor(mass, step);
  }

  /** Pigment out of a bottle that was weighed before and after, g of solids. */
  @Post('bottle')
  @HttpCode(200)
  @apiExample(BottleQuestion, examples.bottle)
  bottle(@Body() { before, after, solids }: BottleQuestion) {
    return { mass: fromBottle(before, after, solids) };
  }

  /** In what a batch differs from the one that it is to match. */
  @Post('matching')
  @HttpCode(200)
  @apiExample(MatchQuestion, examples.matching)
  matching(@Body() { before, now }: MatchQuestion) {
    return { warnings: matchWarnings(before, now) };
  }

  /** A likeness of tints poured together: the index of the tint at each point, row by row. */
  @Post('marbling')
  @HttpCode(200)
  @apiExample(MarblingQuestion, examples.marbling)
  marbling(@Body() { shares, seed, width, height }: MarblingQuestion) {
    return { width, height, at: [...marble(shares, seed, width, height).at] };
  }
}
