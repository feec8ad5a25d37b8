import type { PieceUse } from '@dewpot/core/sealing';

/** What a piece is for, in words. */
export const pieceUseWords: Record<PieceUse, string> = {
  plants: 'plants',
  'bare plants': 'succulents, moss',
  water: 'holds water',
  animals: 'birds, fish',
  food: 'dry food',
  candle: 'a candle',
  outdoors: 'outdoors',
  frost: 'frost',
  indoors: 'indoors',
  'damp shelf': 'bathroom, kitchen',
};
