import { defined } from '@dewpot/core/math';
import { rimOf, sectionCut, type CutSolid, type MouldShape } from '@dewpot/core/moulds';

/** The drawing's own measures, px. */
export const VIEW = { width: 620, highest: 530, lowest: 300, left: 104, right: 150, top: 62, bottom: 100 } as const;

export interface SectionFrame {
  readonly scale: number;
  /** Height of the drawing, px: a flat mould takes less of the screen. */
  readonly height: number;
  /** Axis and bottom of the cavity, px. */
  readonly axis: number;
  readonly ground: number;
  /** Ends of what is cut, mm. */
  readonly left: number;
  readonly right: number;
  readonly cuts: readonly CutSolid[];
  readonly x: (across: number) => number;
  readonly y: (z: number) => number;
}

/** Cuts a mould and fits it into the drawing. */
export function frameOf(shape: MouldShape): SectionFrame {
  const cuts = sectionCut(shape);
  const rim = rimOf(shape);
  const across = defined(cuts[0])
    .outlines.flat()
    .map(([x]) => x);
  const [left, right] = [Math.min(...across), Math.max(...across)];
  const room = { width: VIEW.width - VIEW.left - VIEW.right, height: VIEW.highest - VIEW.top - VIEW.bottom };
  const scale = Math.min(room.width / (right - left), room.height / rim);
  const axis = VIEW.left + room.width / 2 - ((left + right) / 2) * scale;
  const height = Math.max(VIEW.lowest, VIEW.top + rim * scale + VIEW.bottom);
  const ground = height - VIEW.bottom - (height - VIEW.top - VIEW.bottom - rim * scale) / 2;
  return { scale, height, axis, ground, left, right, cuts, x: (r) => axis + r * scale, y: (z) => ground - z * scale };
}
