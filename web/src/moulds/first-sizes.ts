import { bodyOf, type Solid } from '@dewpot/core/solids';

interface Reach {
  readonly across: number;
  readonly deep: number;
  readonly height: number;
}

/** How large a solid is; a usual size where its own measurements make none. */
function reachOf(solid: Solid): Reach {
  const body = bodyOf(solid);
  const { box } = body.regionAt(body.height / 2);
  const reach = { across: box.x1 - box.x0, deep: box.y1 - box.y0, height: body.height };
  return Object.values(reach).every((n) => Number.isFinite(n) && n > 0) ? reach : { across: 60, deep: 60, height: 60 };
}

/** A solid of another kind, about as large as the one that it takes the place of. */
export function firstOfKind(kind: Solid['kind'], like: Solid): Solid {
  const { across, deep, height } = reachOf(like);
  const round = (n: number) => Math.round(n);
  switch (kind) {
    case 'rect-frustum':
      return {
        kind,
        bottomLength: round(across),
        bottomWidth: round(deep),
        topLength: round(across),
        topWidth: round(deep),
        height,
        cornerRadius: 0,
      };
    case 'polygon-frustum':
      return { kind, sides: 6, bottomAcross: round(across), topAcross: round(across), height };
    case 'cap':
    case 'half-ellipsoid':
      return { kind, rimDiameter: round(across), depth: height };
    case 'lying-pipe':
      return { kind, diameter: Math.min(25, round(height)), run: round(across) };
    case 'revolution':
      return {
        kind,
        smooth: false,
        points: [
          { height: 0, radius: round(across / 2) },
          { height, radius: round(across / 2) },
        ],
      };
    case 'known-volume':
      return {
        kind,
        volume: round((across * deep * height * 0.75) / 1000),
        length: round(across),
        width: round(deep),
        height,
      };
    default:
      return { kind: 'round-frustum', bottomDiameter: round(across), topDiameter: round(across), height };
  }
}
