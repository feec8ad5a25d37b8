import { useMemo } from 'react';
import { issueInWords, type FieldIssue } from '@dewpot/core/units';
import { folded, type CutPattern, type PlacedPart } from '@dewpot/core/patterns';
import { QuantityField } from '../ui/quantity-field';
import { useSay } from '../ui/say';
import { HEIGHT, WIDTH } from './fit-drawing';
import { lookAtStanding, lookedAt, raised, STANDING, type Look, type Point } from './looked-at';
import { fieldsOf, valueAt, withValue } from './pattern-fields';

/** Sizes that stand on the drawing of a kind: along, across and up, or the edge that all faces share; whether they are the inside's. */
interface StandingSizes {
  readonly axes: readonly [axis: 0 | 1 | 2, path: string][];
  readonly inside?: true;
  readonly ofFaces?: true;
}
const sizesOf: { readonly [K in CutPattern['kind']]?: StandingSizes } = {
  solid: { axes: [[0, 'edge']], inside: true, ofFaces: true },
  box: { axes: [[0, 'length'], [1, 'width'], [2, 'height']], inside: true },
  'panel-box': { axes: [[0, 'length'], [1, 'width'], [2, 'height']] },
  house: { axes: [[0, 'width'], [1, 'depth'], [2, 'eaves']] },
  bed: { axes: [[0, 'length'], [1, 'width']] },
  wood: { axes: [[0, 'length'], [1, 'width']] },
}; // prettier-ignore

/** Half of a size's box as it stands on the drawing, and how far from its edge, px. */
const HALF = [60, 23] as const;
const OUT = 8;

/** Whether sizes stand on the drawing of a kind. */
export const sized = (kind: CutPattern['kind']): boolean => sizesOf[kind] !== undefined;

/** Where a size stands beside the drawing of its edge: outwards from the middle, within the drawing. */
function beside([ax, ay]: readonly [number, number], [bx, by]: readonly [number, number]): readonly [number, number] {
  const [mx, my] = [(ax + bx) / 2, (ay + by) / 2];
  const long = Math.hypot(bx - ax, by - ay) || 1;
  const [nx, ny] = [(by - ay) / long, (ax - bx) / long];
  const outwards = nx * (mx - WIDTH / 2) + ny * (my - HEIGHT / 2) < 0 ? -1 : 1;
  const far = (Math.abs(nx) * HALF[0] + Math.abs(ny) * HALF[1] + OUT) * outwards;
  const held = (at: number, half: number, room: number) => Math.min(room - half, Math.max(half, at));
  return [held(mx + nx * far, HALF[0], WIDTH), held(my + ny * far, HALF[1], HEIGHT)];
}

/** The near edges of the box round what stands: along its foot, across its foot, and up. */
function edgesOf(points: readonly Point[], look: Look): readonly (readonly [Point, Point])[] {
  const reach = ([0, 1, 2] as const).map((k) => [Math.min(...points.map((p) => p[k])), Math.max(...points.map((p) => p[k]))] as const); // prettier-ignore
  const corner = (x: number, y: number, z: number): Point => [reach[0]?.[x] ?? 0, reach[1]?.[y] ?? 0, reach[2]?.[z] ?? 0]; // prettier-ignore
  const depth = (point: Point) => lookedAt(point, look)[2];
  // The corner of the foot that is nearest: from it the edges along and across run, and the upright stands at its outer end.
  const near = ([x, y]: readonly [number, number]) => depth(corner(x, y, 0));
  const feet = [[1, 0], [0, 1], [1, 1]] as const; // prettier-ignore
  const [nx, ny] = feet.reduce<readonly [number, number]>((best, one) => (near(one) > near(best) ? one : best), [0, 0]);
  return [
    [corner(0, ny, 0), corner(1, ny, 0)],
    [corner(nx, 0, 0), corner(nx, 1, 0)],
    [corner(1 - nx, ny, 0), corner(1 - nx, ny, 1)],
  ];
}

/** The edge of a face that is drawn lowest, where nothing stands below its size. */
function lowestEdge(rings: readonly (readonly Point[])[], look: Look): readonly (readonly [Point, Point])[] {
  const edges = rings.flatMap((ring) => ring.map((point, i): readonly [Point, Point] => [point, ring[(i + 1) % ring.length] ?? point]));
  const height = (edge: readonly [Point, Point]) => lookedAt(edge[0], look)[1] + lookedAt(edge[1], look)[1];
  const [first, ...others] = edges;
  return first ? [others.reduce((best, one) => (height(one) < height(best) ? one : best), first)] : [];
} // prettier-ignore

/** The sizes of what stands, edited where they stand on its drawing. */
export function SizesOnDrawing({ pattern, pieces, look, at, issues, onChange }: { pattern: CutPattern; pieces: readonly PlacedPart[]; look: Look; at: (point: Point) => readonly [number, number]; issues: readonly FieldIssue[]; onChange: (pattern: CutPattern) => void }) {
  const say = useSay();
  const sizes = sizesOf[pattern.kind];
  const standing = STANDING.includes(pattern.kind);
  const from = useMemo(() => lookAtStanding(look, standing), [look, standing]);
  const edges = useMemo(() => {
    const rings = folded(pieces, 1).flatMap(({ inner, outer }) => (sizes?.inside ? [inner] : [inner, outer]));
    if (sizes?.ofFaces) return lowestEdge(rings, from);
    return sizes ? edgesOf(rings.flat().map((point) => raised(point, 1, standing)), from) : [];
  }, [pieces, standing, sizes, from]); // prettier-ignore
  if (!sizes) return null;
  const fields = fieldsOf(pattern);
  return sizes.axes.map(([axis, path]) => {
    const [edge, field] = [edges[axis], fields.find((one) => one.path === path)];
    if (!edge || !field) return null;
    const value = valueAt(pattern, path);
    const [x, y] = beside(at(lookedAt(edge[0], from)), at(lookedAt(edge[1], from)));
    const wrong = issues.find((one) => one.field === path);
    return (
      <div key={path} className="dimension absolute" title={say(field.label)} style={{ left: `${(x / WIDTH) * 100}%`, top: `${(y / HEIGHT) * 100}%` }}>
        <QuantityField hideLabel label={say('patterns.onDrawing', { size: say(field.label) })} name={`drawn.${path}`} dimension="length" value={typeof value === 'number' ? value : undefined} error={wrong && issueInWords(wrong)} onChange={(next) => onChange(withValue(pattern, path, next ?? NaN))} />
      </div>
    );
  });
} // prettier-ignore
