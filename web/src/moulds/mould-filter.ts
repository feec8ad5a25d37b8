import { fullVolume, pieceGuides, pieceView, type PieceKind } from '@dewpot/core/moulds';
import type { MouldView } from '@dewpot/contract';
import type { Speaker } from '@dewpot/locales';

export type MouldOrder = 'name' | 'volume' | 'height' | 'cycles';

/** What is asked of the moulds; a bound that is left out holds nothing back. Volumes in mL, sizes in mm. */
export interface MouldWish {
  readonly word: string;
  readonly piece?: PieceKind;
  readonly least?: number | undefined;
  readonly most?: number | undefined;
  /** Largest size in any direction. */
  readonly reach?: number | undefined;
  readonly order: MouldOrder;
}

export const noWish: MouldWish = { word: '', order: 'name' };

const reachOf = ({ shape }: MouldView) => {
  const { width, depth, height } = pieceView(shape);
  return Math.max(width, depth, height);
};

const keys: Record<MouldOrder, (mould: MouldView) => number | string> = {
  name: ({ name }) => name,
  volume: ({ shape }) => fullVolume(shape),
  height: ({ shape }) => pieceView(shape).height,
  cycles: (mould) => -mould.cycles,
};

/** The moulds that fit a wish, in its order. */
export function chooseMoulds(moulds: readonly MouldView[], wish: MouldWish, say: Speaker): MouldView[] {
  const word = wish.word.trim().toLowerCase();
  const fits = (mould: MouldView) => {
    const volume = fullVolume(mould.shape);
    const text = `${mould.name} ${say(pieceGuides[mould.piece].name)} ${mould.notes ?? ''}`.toLowerCase();
    return (
      text.includes(word) &&
      (wish.piece === undefined || mould.piece === wish.piece) &&
      volume >= (wish.least ?? 0) &&
      volume <= (wish.most ?? Infinity) &&
      reachOf(mould) <= (wish.reach ?? Infinity)
    );
  };
  const key = keys[wish.order];
  return moulds.filter(fits).sort((a, b) => {
    const [x, y] = [key(a), key(b)];
    return typeof x === 'number' && typeof y === 'number' ? x - y : String(x).localeCompare(String(y));
  });
}
