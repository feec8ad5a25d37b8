import { msg, type Message } from '@dewpot/core/units';
import type { PieceUse } from '@dewpot/core/sealing';

/** What a piece is for, in words. */
export const pieceUseWords: Record<PieceUse, Message> = {
  plants: msg('ui.usePlants'),
  'bare plants': msg('ui.useBarePlants'),
  water: msg('ui.useWater'),
  animals: msg('ui.useAnimals'),
  food: msg('ui.useFood'),
  candle: msg('ui.useCandle'),
  outdoors: msg('ui.useOutdoors'),
  frost: msg('ui.useFrost'),
  indoors: msg('ui.useIndoors'),
  'damp shelf': msg('ui.useDampShelf'),
};
