import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import { gainOfCopy, lotCost, pieceCost, priceFor, sending, usualPacking } from '@dewpot/core/money';
import { CopyQuestion, PieceCostQuestion, SendingQuestion } from '@dewpot/contract';
import { Calculated } from '../calculation/calculated.js';
import { apiExample } from './api-example.js';
import { moneyExamples } from './money-examples.js';

/** Working for scripts about money. Nothing is kept. */
@Calculated()
@Controller('api/calculate/money')
export class MoneyApiController {
  /** What a piece costs by its parts, and its price for a margin. `unpriced`: g of materials of which no price is known. */
  @Post('piece')
  @HttpCode(200)
  @apiExample(PieceCostQuestion, moneyExamples.piece)
  piece(
    @Body() asked: PieceCostQuestion,
  ): ReturnType<typeof pieceCost> & Partial<ReturnType<typeof priceFor>> & { unpriced: number } {
    const {
      mix = 0,
      materials = [],
      release = 0,
      minutes = 0,
      laterMinutes = 0,
      sealer = 0,
      fitting = 0,
      packing = 0,
    } = asked;
    const { rate = 0, good, casts, mould, margin } = asked;
    const lots = materials.map((one) => lotCost(one.mass, one.lots));
    const made = mix + lots.reduce((sum, { cost }) => sum + cost, 0);
    const found = pieceCost({
      mix: made,
      release,
      minutes,
      laterMinutes,
      sealer,
      fitting,
      packing,
      rate,
      good,
      casts,
      ...(mould && { mould }),
    });
    return {
      ...found,
      unpriced: lots.reduce((sum, one) => sum + one.unpriced, 0),
      ...(margin !== undefined && priceFor(found.cost.value, found.materials, margin)),
    };
  }

  /** What a piece costs to send, and what it would save to be lighter. */
  @Post('sending')
  @HttpCode(200)
  @apiExample(SendingQuestion, moneyExamples.sending)
  send(@Body() { mass, bands, packingShare = usualPacking.share, packingLeast = usualPacking.least }: SendingQuestion) {
    return sending(mass, bands, { share: packingShare, least: packingLeast });
  }

  /** Whether another copy of a mould pays. */
  @Post('copy')
  @HttpCode(200)
  @apiExample(CopyQuestion, moneyExamples.copy)
  copy(@Body() asked: CopyQuestion) {
    return { gain: gainOfCopy(asked) };
  }
}
