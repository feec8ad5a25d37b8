import { computed, figure, line, type Figure, msg } from '../../foundation/units/index.js';
import { cavityOf, regionAt, type MouldShape, type PieceKind } from '../../geometry/moulds/index.js';

/** Pieces that stand, and so may want a foot. */
const standing: readonly PieceKind[] = ['small-pot', 'pot', 'hypertufa-pot', 'lamp', 'dish', 'ornament'];
/** Of the base that it stands on, how wide a foot is, and how high at least and at most, mm. */
const SHARE = 0.6;
const LOW = 10;
const HIGH = 30;

/** A piece that may have a foot cast for it. */
export interface Footed {
  readonly name: string;
  readonly shape: MouldShape;
  readonly piece: PieceKind;
}

/** A round foot to glue under a cast, out of what is left over: poured into a lid or a ring of that width. */
export interface Foot {
  readonly name: string;
  /** mm */
  readonly across: number;
  readonly height: Figure;
}

/** A foot for each piece that stands, as high as what is left over (mL) makes it; none where that is too little for one. */
export function feetFor(leftover: number, pieces: readonly Footed[]): Foot[] {
  return pieces.flatMap(({ name, shape, piece }): Foot[] => {
    if (!standing.includes(piece)) return [];
    const { box } = regionAt(cavityOf(shape).outer, 0);
    const across = SHARE * Math.min(box.x1 - box.x0, box.y1 - box.y0);
    const area = (Math.PI / 4) * across ** 2;
    const height = (leftover * 1000) / area;
    if (!(height >= LOW)) return [];
    return [
      {
        name,
        across,
        height: figure(Math.min(HIGH, height), 'mm', computed, [
          line(msg('pours.leftOver'), leftover, 'mL'),
          line(msg('pours.acrossFoot'), across, 'mm'),
          line(msg('pours.footHeight'), height, 'mm', 'volume ÷ (π ÷ 4 × across²)'),
          ...(height > HIGH ? [line(msg('pours.highEnough'), HIGH, 'mm', msg('pours.noSteadier'))] : []),
        ]),
      },
    ];
  });
}
