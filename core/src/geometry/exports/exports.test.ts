import { describe, expect, it } from 'vitest';
import { nestedPot } from '../../testing/examples.js';
import { alone, box, star } from '../../testing/shapes.js';
import { closedSurfaceOf, fullVolume, type MouldShape } from '../moulds/index.js';
import { outlineDrawing, sectionDrawing, writeDxf, writeStl, writeSvg } from './index.js';

/** Volume of closed triangles by the divergence theorem, mL, and how many edges have no partner the other way. */
function volumeOf(triangles: Float32Array) {
  let six = 0;
  const edges = new Map<string, number>();
  const key = (i: number) =>
    `${triangles[i]!.toFixed(3)},${triangles[i + 1]!.toFixed(3)},${triangles[i + 2]!.toFixed(3)}`.replace(
      /-0\.000/g,
      '0.000',
    );
  for (let t = 0; t < triangles.length; t += 9) {
    const [ax, ay, az, bx, by, bz, cx, cy, cz] = triangles.subarray(t, t + 9) as unknown as number[];
    six += ax! * (by! * cz! - bz! * cy!) - ay! * (bx! * cz! - bz! * cx!) + az! * (bx! * cy! - by! * cx!);
    const corners = [key(t), key(t + 3), key(t + 6)];
    corners.forEach((from, k) => {
      const to = corners[(k + 1) % 3]!;
      const [edge, way] = from < to ? [`${from}>${to}`, 1] : [`${to}>${from}`, -1];
      if (from !== to) edges.set(edge, (edges.get(edge) ?? 0) + way);
    });
  }
  return { volume: six / 6000, open: [...edges.values()].filter((n) => n !== 0).length };
}

const shapes: [string, MouldShape, number][] = [
  ['a nested pot with its plug', nestedPot, 2e-3],
  ['a box', alone(box(200, 120, 60)), 1e-6],
  ['a star', alone({ kind: 'prism', outline: star, depth: 60, draft: 0 }), 1e-6],
  ['a shell', { ...alone(box(300, 200, 150)), pressed: { side: 'over', thickness: 30 } }, 1e-6],
  ['a ring', alone({ kind: 'ring', innerDiameter: 260, width: 45, depth: 40 }), 3e-3],
];

describe('the cavity as closed triangles', () => {
  it.each(shapes)('%s: shut all round, and its volume to the facets', (_, shape, error) => {
    const { volume, open } = volumeOf(closedSurfaceOf(shape));
    expect(open).toBe(0);
    expect(Math.abs(volume / fullVolume(shape) - 1)).toBeLessThan(error);
  });
  it('is written as a binary STL of the right length, its count in place', () => {
    const triangles = closedSurfaceOf(alone(box(200, 120, 60)));
    const file = writeStl(triangles, 'Tröpfchen');
    expect(file.byteLength).toBe(84 + 50 * 12);
    const view = new DataView(file);
    expect(view.getUint32(80, true)).toBe(12);
    expect(view.getFloat32(84 + 12, true)).toBeCloseTo(triangles[0]!, 6);
  });
});

describe('drawings', () => {
  it('as SVG at true size, a path a layer', () => {
    const svg = writeSvg(sectionDrawing(nestedPot));
    expect(svg).toContain('width="200mm" height="180mm"');
    expect([...svg.matchAll(/<path id="(\w+)"/g)].map(([, name]) => name)).toEqual(['mould', 'cores', 'inserts']);
  });
  it('as DXF in mm, every polyline closed and ended', () => {
    const dxf = writeDxf(outlineDrawing({ ...alone(box(200, 120, 60)) }));
    expect(dxf).toContain('$INSUNITS\n70\n4');
    expect(dxf.match(/POLYLINE/g)).toHaveLength(2);
    expect(dxf.match(/SEQEND/g)).toHaveLength(2);
    expect(dxf).toContain('10\n-100\n20\n-60');
    expect(dxf.trimEnd().endsWith('EOF')).toBe(true);
  });
});
