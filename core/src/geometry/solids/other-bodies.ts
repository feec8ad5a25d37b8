import { msg } from '../../foundation/units/index.js';
import type { Body } from './body.js';
import {
  circleRegion,
  lineEdges,
  rectangleRegion,
  regionArea,
  regionOf,
  regionPerimeter,
  type Region,
} from './region.js';
import type { KnownVolume, LyingPipe, MeshSolid, PlanPoint } from './solid.js';

export function pipeBody({ diameter, run }: LyingPipe): Body {
  const r = diameter / 2;
  const half = (z: number) => Math.sqrt(Math.max(0, z * (diameter - z)));
  return {
    height: diameter,
    breaks: [r],
    regionAt: (z) => rectangleRegion(run, 2 * half(z)),
    // Its round side and its two ends; upright at the middle, level at bottom and top.
    surfaceAt: (z) => (half(z) === 0 ? 0 : (2 * run * r) / half(z) + 4 * half(z)),
    whole: { volume: Math.PI * r * r * run, how: 'π·r² × run' },
  };
}

const MM3 = 1000;

/** A region drawn to `share` of its area about the middle of its box. */
function scaled(loops: readonly (readonly PlanPoint[])[], area: number): Region {
  const plain = regionOf(loops.flatMap(lineEdges));
  const own = regionArea(plain);
  if (own <= 0 || area <= 0) return circleRegion(Math.sqrt(Math.max(0, area) / Math.PI));
  const { box } = plain;
  const [mx, my] = [(box.x0 + box.x1) / 2, (box.y0 + box.y1) / 2];
  const k = Math.sqrt(area / own);
  return regionOf(
    loops.flatMap((loop) => lineEdges(loop.map(([x, y]): PlanPoint => [mx + (x - mx) * k, my + (y - my) * k]))),
  );
}

/** Between two of its heights a mesh has the mean area of what was measured there, drawn by its nearest outline. */
export function meshBody({ height, side, curve, slices }: MeshSolid): Body {
  const steps = curve.length - 1;
  const step = height / steps;
  const regions: (Region | undefined)[] = [];
  const regionOfStep = (i: number): Region => {
    const known = regions[i];
    if (known) return known;
    const middle = (i + 0.5) * step;
    const nearest = slices.reduce((best, slice) =>
      Math.abs(slice.z - middle) < Math.abs(best.z - middle) ? slice : best,
    );
    const made = scaled(nearest.loops, ((curve[i + 1]! - curve[i]!) * MM3) / step);
    regions[i] = made;
    return made;
  };
  return {
    height,
    breaks: Array.from({ length: steps - 1 }, (_, i) => (i + 1) * step),
    regionAt: (z) => regionOfStep(Math.min(steps - 1, Math.max(0, Math.floor(z / step)))),
    surfaceAt: () => side / height,
    whole: { volume: curve[steps]! * MM3, how: msg('solids.divergenceTheorem') },
  };
}

/** An oval of the aspect that was measured, as large as its volume makes it. */
export function knownBody({ volume, length, width, height }: KnownVolume): Body {
  const area = (volume * MM3) / height;
  const round = (length * width * Math.PI) / 4;
  // Where an oval within its sizes is too small for the volume, a rectangle with rounder or sharper corners holds it.
  const radius = Math.min(length, width) / 2;
  const corner = Math.min(radius, Math.sqrt(Math.max(0, length * width - area) / (4 - Math.PI)));
  const shrink = Math.sqrt(area / (length * width - (4 - Math.PI) * corner * corner));
  const region =
    Math.abs(length - width) < 1e-9 && area <= round
      ? circleRegion(Math.sqrt(area / Math.PI))
      : rectangleRegion(length * shrink, width * shrink, corner * shrink);
  return {
    height,
    breaks: [],
    regionAt: () => region,
    surfaceAt: () => regionPerimeter(region),
    runOf: () => 0,
    whole: { volume: volume * MM3, how: msg('solids.asMeasured') },
  };
}
