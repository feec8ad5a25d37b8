import { cavityOf, regionAt, rimOf, sectionCut, type MouldShape, type SectionPoint } from '../moulds/index.js';
import { loopsOf, type PlanPoint } from '../solids/index.js';

/** A drawing in mm: closed outlines on named layers, y upwards. */
export interface Drawing {
  readonly layers: readonly {
    readonly name: string;
    readonly outlines: readonly (readonly (PlanPoint | SectionPoint)[])[];
  }[];
}

const FINE = Math.PI / 90;

/** The upright section through a mould: outer, cores and inserts each on a layer. */
export function sectionDrawing(shape: MouldShape): Drawing {
  const cuts = sectionCut(shape).filter((cut) => !cut.beyond);
  const layer = (role: 'outer' | 'core' | 'insert', name: string) => ({
    name,
    outlines: cuts.filter((cut) => cut.role === role).flatMap((cut) => cut.outlines),
  });
  return { layers: [layer('outer', 'mould'), layer('core', 'cores'), layer('insert', 'inserts')] };
}

/** Outlines of a mould from above: its rim, its bottom, and the cores at their tops. */
export function outlineDrawing(shape: MouldShape): Drawing {
  const { outer, cores, inserts } = cavityOf(shape);
  const rim = rimOf(shape);
  const hair = rim * 1e-6;
  const loops = (standing: typeof outer, z: number) => loopsOf(regionAt(standing, z), FINE);
  return {
    layers: [
      { name: 'rim', outlines: loops(outer, rim - hair) },
      { name: 'bottom', outlines: loops(outer, hair) },
      { name: 'cores', outlines: cores.flatMap((core) => loops(core, Math.min(rim, core.top) - hair)) },
      {
        name: 'inserts',
        outlines: inserts.flatMap((insert) => loops(insert, (insert.bottom + Math.min(rim, insert.top)) / 2)),
      },
    ],
  };
}

const number = (n: number) => (Math.round(n * 1000) / 1000).toString();

/** The drawing as SVG at its true size in mm. */
export function writeSvg({ layers }: Drawing): string {
  const all = layers.flatMap(({ outlines }) => outlines.flat());
  const [x0, x1] = [Math.min(...all.map(([x]) => x)), Math.max(...all.map(([x]) => x))];
  const [y0, y1] = [Math.min(...all.map(([, y]) => y)), Math.max(...all.map(([, y]) => y))];
  const groups = layers
    .filter(({ outlines }) => outlines.length > 0)
    .map(({ name, outlines }) => {
      const d = outlines
        .map((outline) => `M${outline.map(([x, y]) => `${number(x - x0)} ${number(y1 - y)}`).join('L')}Z`)
        .join('');
      return `  <path id="${name}" d="${d}" fill="none" stroke="#000" stroke-width="0.3"/>`;
    });
  const [width, height] = [number(x1 - x0), number(y1 - y0)];
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">`,
    ...groups,
    '</svg>',
    '',
  ].join('\n');
}

/** The drawing as DXF (AutoCAD R12 ASCII) in mm: one closed polyline an outline. */
export function writeDxf({ layers }: Drawing): string {
  const lines: (string | number)[] = [
    0,
    'SECTION',
    2,
    'HEADER',
    9,
    '$INSUNITS',
    70,
    4,
    0,
    'ENDSEC',
    0,
    'SECTION',
    2,
    'ENTITIES',
  ];
  for (const { name, outlines } of layers) {
    for (const outline of outlines) {
      lines.push(0, 'POLYLINE', 8, name, 66, 1, 70, 1);
      for (const [x, y] of outline) lines.push(0, 'VERTEX', 8, name, 10, number(x), 20, number(y));
      lines.push(0, 'SEQEND');
    }
  }
  lines.push(0, 'ENDSEC', 0, 'EOF');
  return `${lines.join('\n')}\n`;
}
