import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import {
  colourDifference,
  doseLadder,
  doubtOf,
  fitStrength,
  hexOf,
  leastBinder,
  LEVELLING,
  lookNames,
  lookOf,
  searchTints,
  SEEN,
  spectrumOf,
  STRENGTH,
  tintedBase,
  weighTint,
  type Colourant,
  type Look,
} from '@dewpot/core/tints';
import {
  DifferenceQuestion,
  LadderQuestion,
  StrengthQuestion,
  TintQuestion,
  TintSearchQuestion,
  TintWeighingQuestion,
  type PlainPigment,
} from '@dewpot/contract';
import { Calculated } from '../calculation/calculated.js';
import { apiExample } from './api-example.js';
import { tintExamples as examples } from './tint-examples.js';

const colourantOf = ({ colour, strength = STRENGTH, levelling = LEVELLING }: PlainPigment): Colourant => ({
  spectrum: spectrumOf(colour),
  strength,
  levelling,
});

const dosed = ({ doses }: TintQuestion) =>
  doses.map(({ pigment, dose }) => ({
    name: pigment.name,
    colourant: colourantOf(pigment),
    dose,
    chips: pigment.chips ?? 0,
  }));

/** Tint questions for scripts: a plain description in, colours out. Nothing is kept. */
@Calculated()
@Controller('api/calculate/tints')
export class TintApiController {
  /** The colour of a tint as it looks dry, wet and sealed, with its band of doubt. */
  @Post('colour')
  @HttpCode(200)
  @apiExample(TintQuestion, examples.colour)
  colour(@Body() question: TintQuestion) {
    const base = spectrumOf(question.base);
    const doses = dosed(question);
    const dry = tintedBase(base, doses);
    const { weaker, stronger } = doubtOf(base, doses);
    return {
      looks: (question.looks ?? (Object.keys(lookNames) as Look[])).map((look) => ({
        look,
        name: lookNames[look],
        colour: hexOf(lookOf(dry, look)),
      })),
      doubt: { weaker: hexOf(weaker), stronger: hexOf(stronger) },
    };
  }

  /** Up to three recipes that come nearest to a wanted colour. */
  @Post('search')
  @HttpCode(200)
  @apiExample(TintSearchQuestion, examples.search)
  search(@Body() { base, wanted, pigments, ceiling }: TintSearchQuestion) {
    const found = searchTints({
      base: spectrumOf(base),
      wanted,
      pigments: pigments.map((pigment) => ({
        id: pigment.name,
        colourant: colourantOf(pigment),
        ...(pigment.price !== undefined && { price: pigment.price }),
      })),
      ...(ceiling !== undefined && { ceiling }),
    });
    return {
      recipes: found.map(({ doses, spectrum, away, cost }) => ({ doses, colour: hexOf(spectrum), away, cost })),
      inReach: (found[0]?.away ?? Infinity) <= SEEN,
    };
  }

  /** A pigment's strength from its chips. */
  @Post('strength')
  @HttpCode(200)
  @apiExample(StrengthQuestion, examples.strength)
  strength(@Body() { pigment, chips }: StrengthQuestion) {
    return fitStrength(
      colourantOf(pigment),
      chips.map(({ base, ...chip }) => ({ ...chip, base: spectrumOf(base) })),
    );
  }

  /** A tint in grams on a scale, what rounding does to its colour, and the least batch in which that is not seen. */
  @Post('weighing')
  @HttpCode(200)
  @apiExample(TintWeighingQuestion, examples.weighing)
  weighing(@Body() question: TintWeighingQuestion) {
    const base = spectrumOf(question.base);
    const tint = dosed(question);
    return {
      ...weighTint(base, tint, question.binder, question.step),
      leastBinder: leastBinder(base, tint, question.step),
    };
  }

  /** How far two colours are apart, ΔE00. */
  @Post('difference')
  @HttpCode(200)
  @apiExample(DifferenceQuestion, examples.difference)
  difference(@Body() { one, other }: DifferenceQuestion) {
    return { difference: colourDifference(one, other) };
  }

  /** A strip of chips of one pigment. */
  @Post('ladder')
  @HttpCode(200)
  @apiExample(LadderQuestion, examples.ladder)
  ladder(@Body() { pigment, binderPerLitre, doses, volume }: LadderQuestion) {
    return { chips: doseLadder(pigment, binderPerLitre, doses, volume) };
  }
}
