import { blanks, placedRadiusAt, type MouldShape } from './mould.js';
import { radiusAt, sideArea } from './solid.js';

/** Areas of the cast's faces, mm². Each side keeps its own slope. */
export interface Faces {
  /** The side that stood against the outer mould. */
  readonly outer: number;
  /** The sides and floor that stood against the cores. */
  readonly inner: number;
  /** The underside. */
  readonly base: number;
  /** What lay open while it set. */
  readonly open: number;
}

const disc = (r: number) => Math.PI * r * r;

/** Faces of the cast by side. Cores are taken to reach the rim; holes of inserts are cut from base and floor. */
export function faces(shape: MouldShape): Faces {
  const rim = shape.outer.height;
  const innerAt = (z: number) => Math.max(0, ...blanks(shape).map((blank) => placedRadiusAt(blank, z)));
  const inner = shape.cores.reduce((sum, core) => {
    const hole = Math.max(0, ...shape.inserts.map((insert) => placedRadiusAt(insert, core.bottom)));
    return sum + sideArea(core.solid) + Math.max(0, disc(core.solid.bottomDiameter / 2) - disc(hole));
  }, 0);
  return {
    outer: sideArea(shape.outer),
    inner,
    base: disc(shape.outer.bottomDiameter / 2) - disc(innerAt(0)),
    open: Math.max(0, disc(radiusAt(shape.outer, rim)) - disc(innerAt(rim))),
  };
}
