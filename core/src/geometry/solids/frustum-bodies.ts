import { facetsBetween, slopeFactor, type Body } from './body.js';
import { circleRegion, polygonRegion, rectangleRegion } from './region.js';
import { cornerSlope, nearestOnRounded } from './rounded-corner.js';
import type { PlanPoint, PolygonFrustum, RectFrustum, RoundFrustum } from './solid.js';

/** A size that runs straight from bottom to top. */
const between = (bottom: number, top: number, height: number) => (z: number) => bottom + ((top - bottom) * z) / height;

export function roundBody({ bottomDiameter, topDiameter, height }: RoundFrustum): Body {
  const [r, R] = [bottomDiameter / 2, topDiameter / 2];
  const radius = between(r, R, height);
  const run = (R - r) / height;
  const factor = slopeFactor(run);
  return {
    height,
    breaks: [],
    regionAt: (z) => circleRegion(radius(z)),
    surfaceAt: (z) => 2 * Math.PI * radius(z) * factor,
    runOf: () => run,
    whole: { volume: ((Math.PI * height) / 3) * (R * R + R * r + r * r), how: 'π·h/3·(R² + R·r + r²)' },
  };
}

const corners = (length: number, width: number): PlanPoint[] => [
  [-length / 2, -width / 2],
  [length / 2, -width / 2],
  [length / 2, width / 2],
  [-length / 2, width / 2],
];

export function rectBody(solid: RectFrustum): Body {
  const { bottomLength, topLength, bottomWidth, topWidth, height, cornerRadius: r } = solid;
  const length = between(bottomLength, topLength, height);
  const width = between(bottomWidth, topWidth, height);
  const endRun = (topLength - bottomLength) / 2 / height;
  const sideRun = (topWidth - bottomWidth) / 2 / height;
  const [ends, sides] = [slopeFactor(endRun), slopeFactor(sideRun)];
  const corner = r > 0 ? cornerSlope(endRun, sideRun) : 1;
  const regionAt = (z: number) => rectangleRegion(length(z), width(z), r);
  const area = (z: number) => length(z) * width(z) - (4 - Math.PI) * r * r;
  return {
    height,
    breaks: [],
    regionAt,
    runOf: (edge) => {
      // A corner leans at least as the lesser of its sides; how far it lies is asked of nearestSide.
      if (edge.kind === 'arc') return Math.min(endRun, sideRun);
      return Math.abs(edge.x1 - edge.x0) > Math.abs(edge.y1 - edge.y0) ? sideRun : endRun;
    },
    surfaceAt: (z) => 2 * (length(z) - 2 * r) * sides + 2 * (width(z) - 2 * r) * ends + 2 * Math.PI * r * corner,
    ...(r > 0 && { nearestSide: (p, rim) => nearestOnRounded({ solid, endRun, sideRun }, p, rim) }),
    whole: {
      volume: (height / 6) * (area(0) + 4 * area(height / 2) + area(height)),
      how: 'h/6·(A₀ + 4·Aₘ + A₁)',
    },
    facets: facetsBetween(corners(bottomLength, bottomWidth), corners(topLength, topWidth), height),
  };
}

/** Corners of a regular polygon about the axis, one flat facing along x; `inner` is the radius to its flats. */
function regularPolygon(sides: number, inner: number): PlanPoint[] {
  const out = inner / Math.cos(Math.PI / sides);
  return Array.from({ length: sides }, (_, i): PlanPoint => {
    const angle = ((2 * i - 1) / sides) * Math.PI;
    return [out * Math.cos(angle), out * Math.sin(angle)];
  });
}

export function polygonBody({ sides, bottomAcross, topAcross, height }: PolygonFrustum): Body {
  const inner = between(bottomAcross / 2, topAcross / 2, height);
  const perSquare = sides * Math.tan(Math.PI / sides);
  const run = (topAcross - bottomAcross) / 2 / height;
  const factor = slopeFactor(run);
  const [low, high] = [perSquare * inner(0) ** 2, perSquare * inner(height) ** 2];
  return {
    height,
    breaks: [],
    regionAt: (z) => polygonRegion(regularPolygon(sides, inner(z))),
    surfaceAt: (z) => 2 * perSquare * inner(z) * factor,
    runOf: () => run,
    whole: { volume: (height / 3) * (low + high + Math.sqrt(low * high)), how: 'h/3·(A₀ + A₁ + √(A₀·A₁))' },
    facets: facetsBetween(regularPolygon(sides, inner(0)), regularPolygon(sides, inner(height)), height),
  };
}
