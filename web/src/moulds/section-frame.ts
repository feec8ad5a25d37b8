import type { MouldShape } from '@dewpot/core';

/** The drawing's own measures, px. */
export const VIEW = { width: 620, height: 530, left: 104, right: 150, top: 62, bottom: 100 } as const;

export interface SectionFrame {
  readonly scale: number;
  /** Axis and bottom of the cavity, px. */
  readonly axis: number;
  readonly ground: number;
  readonly x: (r: number) => number;
  readonly y: (z: number) => number;
}

/** Fits a mould into the drawing. */
export function frameOf({ outer }: MouldShape): SectionFrame {
  const widest = Math.max(outer.bottomDiameter, outer.topDiameter);
  const room = { width: VIEW.width - VIEW.left - VIEW.right, height: VIEW.height - VIEW.top - VIEW.bottom };
  const scale = Math.min(room.width / widest, room.height / outer.height);
  const axis = VIEW.left + room.width / 2;
  const ground = VIEW.height - VIEW.bottom - (room.height - outer.height * scale) / 2;
  return { scale, axis, ground, x: (r) => axis + r * scale, y: (z) => ground - z * scale };
}
