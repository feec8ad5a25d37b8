import { useMemo } from 'react';
import { folded, type CutPattern, type Joint, type PlacedPart } from '@dewpot/core/patterns';
import { fitDrawing, pathOf } from './fit-drawing';
import { STANDING, turned, type Look, type Point } from './looked-at';

const middleOf = (points: readonly Point[]): Point => [0, 1, 2].map((k) => points.reduce((sum, p) => sum + (p[k] ?? 0), 0) / points.length) as unknown as Point; // prettier-ignore

/** A face as it is drawn: its points on the screen, how near it is, and how light. */
interface Face {
  readonly piece: number;
  readonly points: readonly Point[];
  readonly light: number;
  /** Openings in it. */
  readonly holes: readonly (readonly Point[])[];
  /** One of the narrow sides between its two faces. */
  readonly edge: boolean;
}

/** How light a face is, by how it is turned to the light from the upper left. */
function lightOf(points: readonly Point[]): number {
  const [a, b, c] = points;
  if (!a || !b || !c) return 0.5;
  const [u, v] = [b.map((n, k) => n - (a[k] ?? 0)), c.map((n, k) => n - (a[k] ?? 0))] as unknown as [Point, Point];
  const normal: Point = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
  const size = Math.hypot(...normal) || 1;
  return Math.abs(normal[0] * -0.45 + normal[1] * 0.6 + normal[2] * 0.66) / size;
}

/** The narrow sides between two rings of as many points. */
const sidesOf = (a: readonly Point[], b: readonly Point[]): Point[][] =>
  a.length === b.length ? a.map((p, i) => [p, a[(i + 1) % a.length], b[(i + 1) % b.length], b[i]] as Point[]) : [];

function facesOf(pieces: readonly PlacedPart[], share: number, look: Look, kind: CutPattern['kind']): Face[] {
  const standing = STANDING.includes(kind);
  const put = (point: Point) => turned(point, look, share, standing);
  return folded(pieces, share)
    .flatMap(({ inner, outer, holes }, piece): Face[] => {
      const thick = (pieces[piece]?.thickness ?? 0) > 0;
      const rings = [inner, ...(thick ? [outer] : [])].map((ring) => ring.map(put));
      const openings = holes.map((hole) => [hole.inner.map(put), hole.outer.map(put)] as const);
      const [a = [], b] = rings;
      const edges = b ? [...sidesOf(a, b), ...openings.flatMap(([p, q]) => sidesOf(p, q))] : [];
      return [
        ...rings.map((points, side) => ({ piece, points, holes: openings.map((one) => one[side] ?? []), light: lightOf(points), edge: false })), // prettier-ignore
        ...edges.map((points) => ({ piece, points, holes: [], light: lightOf(points), edge: true })),
      ];
    })
    .sort((p, q) => onBoard(kind, p, q, look) || middleOf(p.points)[2] - middleOf(q.points)[2]);
}

/** What stands on its board hides it where one looks from above, and is hidden by it from below. */
function onBoard(kind: CutPattern['kind'], p: Face, q: Face, { tilt }: Look): number {
  if (kind !== 'strip') return 0;
  const first = Number(q.piece === 0) - Number(p.piece === 0);
  return tilt < Math.PI / 2 ? first : -first;
}

/** Whether a place lies within a ring of points, on the drawing. */
const covers = (points: readonly Point[], [x, y]: Point): boolean =>
  points.reduce((inside, [ax, ay], i) => {
    const [bx, by] = points[(i + 1) % points.length] ?? [ax, ay];
    return ay > y !== by > y && x < ax + ((y - ay) / (by - ay)) * (bx - ax) ? !inside : inside;
  }, false);

/** The face of each part that bears its letter: its nearest one, where nothing is drawn over its middle. */
function lettered(faces: readonly Face[]): Face[] {
  return faces.filter(({ edge, piece, points }, i) => {
    if (edge || faces.findLastIndex((one) => one.piece === piece && !one.edge) !== i) return false;
    const middle = middleOf(points);
    return !faces.slice(i + 1).some((one) => one.piece !== piece && covers(one.points, middle));
  });
}

/** An outline of more points is a curve: its narrow sides bear no lines. A part of more panels is bent: one of them bears its letter. */
const ROUND = 24;
const BENT = 8;
const isBent = (pieces: readonly PlacedPart[], piece: number): boolean =>
  pieces.filter(({ part }) => part === pieces[piece]?.part).length > BENT;

const concrete = (light: number) => `color-mix(in oklab, var(--concrete) ${Math.round(55 + 45 * light)}%, black)`;

/** Up to this share of folding the sides that meet bear their numbers. */
const NUMBERED_TO = 0.5;
/** How far from its side towards the middle of its face a number stands. */
const INWARDS = 0.22;

/** Where the number of each side that is matched stands: by its side, inwards. */
function jointPlaces(pieces: readonly PlacedPart[], joints: readonly Joint[], share: number, look: Look, standing: boolean) {
  const rings = folded(pieces, share).map(({ inner }) => inner.map((point) => turned(point, look, share, standing)));
  return joints.flatMap(({ number, sides }) =>
    sides.flatMap(({ piece, from, to }) => {
      const ring = rings[piece] ?? [];
      const corner = ([x, y]: readonly [number, number]) => ring[(pieces[piece]?.inner ?? []).findIndex((p) => Math.hypot(p[0] - x, p[1] - y) < 1e-6)];
      const [a, b] = [corner(from), corner(to)];
      if (!a || !b) return [];
      const [side, middle] = [middleOf([a, b]), middleOf(ring)];
      return [{ number, at: [0, 1, 2].map((k) => (side[k] ?? 0) * (1 - INWARDS) + (middle[k] ?? 0) * INWARDS) as unknown as Point }];
    }),
  );
} // prettier-ignore

/** Where points as they are seen stand on a drawing that the parts fill, folded by a share; `air` px at the sides and above and below. */
export function fitFolded(
  pieces: readonly PlacedPart[],
  kind: CutPattern['kind'],
  share: number,
  look: Look,
  air?: readonly [number, number],
) {
  // prettier-ignore
  const rings = folded(pieces, share).flatMap(({ inner, outer }) => [...inner, ...outer]);
  return fitDrawing(
    rings.map((point) => turned(point, look, share, STANDING.includes(kind))),
    air,
  );
}

/** The parts of a pattern, folded by a share and looked at from somewhere; the nearest are drawn last. */
export function FoldingDrawing({
  pieces,
  joints = [],
  kind,
  share,
  look,
  at,
  picked,
  onPick,
}: {
  pieces: readonly PlacedPart[];
  joints?: readonly Joint[];
  kind: CutPattern['kind'];
  share: number;
  look: Look;
  at: ReturnType<typeof fitFolded>;
  picked?: string | undefined;
  onPick?: (part: string | undefined) => void;
}) {
  const standing = STANDING.includes(kind);
  const faces = useMemo(() => facesOf(pieces, share, look, kind), [pieces, share, look, kind]);
  const partOf = (piece: number) => pieces[piece]?.part;
  const nearest = lettered(faces).filter(({ piece }, i, all) => !isBent(pieces, piece) || all.findIndex((one) => partOf(one.piece) === partOf(piece)) === i); // prettier-ignore
  return (
    <>
      {faces.map(({ piece, points, holes, light, edge }, i) => (
        <path
          key={i}
          d={[points, ...holes].map((ring) => pathOf(ring, at)).join('')}
          fillRule="evenodd"
          className={partOf(piece) === picked ? 'fill-accent stroke-base-content' : 'stroke-base-content'}
          style={partOf(piece) === picked ? { fillOpacity: 0.55 + 0.4 * light } : { fill: concrete(light) }}
          strokeWidth={edge && points.length === 4 && (pieces[piece]?.inner.length ?? 0) > ROUND ? 0 : 0.8}
          strokeLinejoin="round"
          onClick={() => onPick?.(partOf(piece) === picked ? undefined : partOf(piece))}
        />
      ))}
      {onPick &&
        nearest.map(({ piece, points }) => {
          const [x, y] = at(middleOf(points));
          return (
            <text
              key={piece}
              x={x}
              y={y}
              textAnchor="middle"
              dominantBaseline="central"
              className="pointer-events-none fill-base-content text-sm font-bold"
            >
              {partOf(piece)}
            </text>
          );
        })}
      {share <= NUMBERED_TO &&
        jointPlaces(pieces, joints, share, look, standing).map(({ number, at: place }, i) => {
          const [x, y] = at(place);
          return (
            <text
              key={i}
              x={x}
              y={y}
              textAnchor="middle"
              dominantBaseline="central"
              className="fill-base-content text-xs"
            >
              {number}
            </text>
          );
        })}
    </>
  );
}
