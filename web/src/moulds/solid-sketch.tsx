import {
  heightOf,
  sectionAt,
  skeletonOf,
  type MeasuredSolid,
  type PolygonFrustum,
  type PolyhedronName,
  type UprightSolid,
} from '@dewpot/core';

const SLICES = 28;
const TIP = 0.1;
/** The same of a many-sided pot, whose faces want to be told apart. */
const FACET_TIP = 0.22;
/** How a solid of equal faces is turned before it is looked at, radians. */
const TURN = { about: 0.5, tip: 0.42 } as const;

type Point = readonly [number, number];
const path = (points: readonly Point[]) => `M${points.map(([x, y]) => `${x.toFixed(2)} ${y.toFixed(2)}`).join('L')}`;

/** Half of what is seen of a turned solid or a box from the side at height `z`, mm. */
function halfWidth(solid: Exclude<UprightSolid, PolygonFrustum>, z: number): number {
  const share = z / heightOf(solid);
  if (solid.kind === 'rect-frustum') return (solid.bottomLength + (solid.topLength - solid.bottomLength) * share) / 2;
  return Math.sqrt(sectionAt(solid, z).area / Math.PI);
}

function Upright({ solid, size }: { solid: Exclude<UprightSolid, PolygonFrustum>; size: number }) {
  const height = heightOf(solid);
  const heights = Array.from({ length: SLICES + 1 }, (_, i) => (height * i) / SLICES);
  const widths = heights.map((z) => halfWidth(solid, z));
  const widest = Math.max(...widths);
  const scale = (size * 0.84) / Math.max(2 * widest, height + widest * TIP * 2);
  const top = -height * scale;
  const rim = widths[SLICES]! * scale;
  const side = widths.map((w, i): Point => [w * scale, -heights[i]! * scale]);
  const outline = path([...side.map(([x, y]): Point => [-x, y]).reverse(), ...side]);
  const flat = solid.kind === 'rect-frustum';
  const open = flat
    ? `M${-rim} ${top}l${rim * 0.1} ${-rim * TIP * 1.6}h${rim * 1.8}l${rim * 0.1} ${rim * TIP * 1.6}z`
    : undefined;
  return (
    <g transform={`translate(${size / 2} ${(size + (height + widest * TIP) * scale) / 2})`}>
      <path d={`${outline}Z`} fill="var(--concrete)" />
      <path d={`${outline}Z`} fill="url(#piece-light)" stroke="currentColor" strokeWidth={1.3} strokeLinejoin="round" />
      {open ? (
        <path d={open} fill="var(--color-base-100)" stroke="currentColor" strokeWidth={1.3} />
      ) : (
        <ellipse
          cy={top}
          rx={rim}
          ry={rim * TIP}
          fill="var(--color-base-100)"
          stroke="currentColor"
          strokeWidth={1.3}
        />
      )}
    </g>
  );
}

/** A many-sided pot, its faces shaded by how they stand to a light from the left. */
function Faceted({ solid: { sides, bottomAcross, topAcross, height }, size }: { solid: PolygonFrustum; size: number }) {
  const out = 1 / Math.cos(Math.PI / sides) / 2;
  const [low, high] = [bottomAcross * out, topAcross * out];
  const widest = Math.max(low, high);
  const scale = (size * 0.84) / Math.max(2 * widest, height + widest * 2 * FACET_TIP);
  const corner = (i: number, radius: number, z: number): Point => {
    const angle = ((i + 0.3) / sides) * 2 * Math.PI;
    return [radius * Math.cos(angle) * scale, (radius * Math.sin(angle) * FACET_TIP - z) * scale];
  };
  const ring = (radius: number, z: number) => Array.from({ length: sides }, (_, i) => corner(i, radius, z));
  const faces = Array.from({ length: sides }, (_, i) => {
    const middle = ((i + 0.8) / sides) * 2 * Math.PI;
    const outline = [corner(i, low, 0), corner(i + 1, low, 0), corner(i + 1, high, height), corner(i, high, height)];
    return { i, front: Math.sin(middle) > -0.15, dark: 0.2 + 0.2 * Math.cos(middle), d: `${path(outline)}Z` };
  });
  return (
    <g
      transform={`translate(${size / 2} ${(size + (height - widest * FACET_TIP) * scale) / 2})`}
      stroke="currentColor"
      strokeWidth={1.3}
      strokeLinejoin="round"
    >
      <path d={`${path(ring(high, height))}Z`} fill="var(--color-base-100)" />
      {faces
        .filter(({ front }) => front)
        .map(({ i, d, dark }) => (
          <g key={i}>
            <path d={d} fill="var(--concrete)" />
            <path d={d} fill="var(--shade)" fillOpacity={dark} />
          </g>
        ))}
    </g>
  );
}

/** A bent strip from above: its centreline, drawn as wide as it is. */
function Strip({
  points,
  width,
  size,
  closed = false,
}: {
  points: readonly Point[];
  width: number;
  size: number;
  closed?: boolean;
}) {
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const span = Math.max(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)) + width;
  const scale = (size * 0.88) / span;
  const middle: Point = [(Math.max(...xs) + Math.min(...xs)) / 2, (Math.max(...ys) + Math.min(...ys)) / 2];
  const d =
    path(points.map(([x, y]): Point => [(x - middle[0]) * scale, (y - middle[1]) * scale])) + (closed ? 'Z' : '');
  return (
    <g transform={`translate(${size / 2} ${size / 2})`} fill="none">
      <path d={d} stroke="currentColor" strokeWidth={width * scale + 2.6} />
      <path d={d} stroke="var(--concrete)" strokeWidth={width * scale} />
    </g>
  );
}

const bend = (radius: (share: number) => number, from: number, to: number): Point[] =>
  Array.from({ length: 161 }, (_, i) => {
    const angle = from + ((to - from) * i) / 160;
    const r = radius(i / 160);
    return [r * Math.cos(angle), r * Math.sin(angle)];
  });

function Polyhedron({ which, size }: { which: PolyhedronName; size: number }) {
  const { vertices, edges } = skeletonOf(which);
  const turned = vertices.map(([x, y, z]) => {
    const [a, b] = [
      x * Math.cos(TURN.about) + z * Math.sin(TURN.about),
      z * Math.cos(TURN.about) - x * Math.sin(TURN.about),
    ];
    return {
      x: a,
      y: y * Math.cos(TURN.tip) - b * Math.sin(TURN.tip),
      near: y * Math.sin(TURN.tip) + b * Math.cos(TURN.tip),
    };
  });
  const reach = Math.max(...turned.map(({ x, y }) => Math.hypot(x, y)));
  const scale = (size * 0.44) / reach;
  const far = (i: number, j: number) => turned[i]!.near + turned[j]!.near < -0.02;
  return (
    <g transform={`translate(${size / 2} ${size / 2})`} stroke="currentColor" strokeLinecap="round">
      {edges.map(([i, j]) => (
        <path
          key={`${i}-${j}`}
          d={`M${turned[i]!.x * scale} ${turned[i]!.y * scale}L${turned[j]!.x * scale} ${turned[j]!.y * scale}`}
          strokeWidth={far(i, j) ? 1 : 2}
          opacity={far(i, j) ? 0.3 : 1}
        />
      ))}
    </g>
  );
}

/** A leaf cast in section: even at its edge, thicker over the top of the mound. */
function LeafSection({ middle, edge, size }: { middle: number; edge: number; size: number }) {
  const width = size * 0.44;
  const rise = size * 0.24;
  const thick = (size * 0.17) / Math.max(middle, edge);
  const arc = (base: number, lift: number) => `M${-width} ${base}Q0 ${base - 2 * lift} ${width} ${base}`;
  const over = `Q0 ${-2 * rise - (2 * middle - edge) * thick} ${-width} ${-edge * thick}Z`;
  return (
    <g transform={`translate(${size / 2} ${size * 0.72})`}>
      <path
        d={`${arc(0, rise)}L${width} ${-edge * thick}${over}`}
        fill="url(#leaf-hatch)"
        stroke="currentColor"
        strokeWidth={1.3}
      />
      <path d={`${arc(0, rise)}Z`} fill="var(--wood-top)" opacity={0.45} />
      <defs>
        <pattern id="leaf-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="7" height="7" fill="var(--concrete)" />
          <path d="M0 0V7" stroke="var(--shade)" strokeWidth="1.4" opacity="0.45" />
        </pattern>
      </defs>
    </g>
  );
}

function Drawn({ solid, size }: { solid: MeasuredSolid; size: number }) {
  switch (solid.kind) {
    case 'ring':
      return (
        <Strip
          closed
          width={solid.width}
          size={size}
          points={bend(() => (solid.innerDiameter + solid.width) / 2, 0, 2 * Math.PI)}
        />
      );
    case 'arc': {
      const half = (solid.angle / 360) * Math.PI;
      return (
        <Strip
          width={solid.width}
          size={size}
          points={bend(() => solid.radius, -Math.PI / 2 - half, -Math.PI / 2 + half)}
        />
      );
    }
    case 'spiral':
      return (
        <Strip
          width={solid.width}
          size={size}
          points={bend((share) => solid.startRadius + solid.pitch * solid.turns * share, 0, 2 * Math.PI * solid.turns)}
        />
      );
    case 'polyhedron':
      return <Polyhedron which={solid.which} size={size} />;
    case 'polygon-frustum':
      return <Faceted solid={solid} size={size} />;
    case 'leaf':
      return <LeafSection middle={solid.middle} edge={solid.edge} size={size} />;
    case 'round-frustum':
    case 'rect-frustum':
    case 'cap':
    case 'half-ellipsoid':
    case 'revolution':
      return <Upright solid={solid} size={size} />;
  }
}

/** A solid drawn from its own sizes, as large as a box of `size` px lets it be. */
export function SolidSketch({ solid, size }: { solid: MeasuredSolid; size: number }) {
  return (
    <svg width={size} height={size} viewBox={`0 0 ${size} ${size}`} aria-hidden="true" className="shrink-0">
      <Drawn solid={solid} size={size} />
    </svg>
  );
}
