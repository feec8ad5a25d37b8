import { Checker, msg } from '../../foundation/units/index.js';

const MOST_MARGIN = 0.95;
const MOST = 1e6;

/** What to ask for a piece. */
export interface PiecePrice {
  readonly price: number;
  /** What covers its materials alone: below it each one sold costs money. */
  readonly lowest: number;
}

/** The price for a margin (share of the price, 0–0.95): cost ÷ (1 − margin). Handbook 21. @throws InputError */
export function priceFor(cost: number, materials: number, margin: number): PiecePrice {
  const check = new Checker();
  check.number('cost', cost, msg('money.pieceCosts'), { min: 0, max: MOST });
  check.number('materials', materials, msg('money.materials'), { min: 0, max: MOST });
  check.number('margin', margin, msg('money.margin'), { min: 0, max: MOST_MARGIN });
  check.done();
  return { price: cost / (1 - margin), lowest: materials };
}
