import { cavityOf, regionAt, type MouldShape } from '@dewpot/core/moulds';
import { loopsOf } from '@dewpot/core/solids';
import { PieceThumb } from '../ui/piece-thumb';
import { OutlineThumb } from './outline-thumb';

/** Solids that are told by their outline from above rather than from the side. */
const flat: readonly string[] = ['prism', 'ring', 'arc', 'spiral', 'leaf'];

/** A mould in small, from its own geometry: the piece as it stands, or its outline where it lies flat. */
export function ShapeThumb({ shape, size }: { shape: MouldShape; size: number }) {
  if (!flat.includes(shape.outer.kind)) return <PieceThumb shape={shape} colour="#b3ada1" size={size} />;
  const { outer, rim } = cavityOf(shape);
  return <OutlineThumb outlines={loopsOf(regionAt(outer, rim * 0.3))} size={size} />;
}
