import { cavityOf, regionAt, rimOf, sectionCut, type MouldShape, type SectionPoint } from '../moulds/index.js';
import { loopsOf, type PlanPoint } from '../solids/index.js';

/** A text of a drawing: where its lower left corner lies, and how high it is, mm. */
interface DrawnText {
  readonly at: PlanPoint;
  readonly height: number;
  readonly text: string;
}

/** A drawing in mm on named layers, y upwards: closed outlines, open lines, texts. */
export interface Drawing {
  readonly layers: readonly {
    readonly name: string;
    readonly outlines: readonly (readonly (PlanPoint | SectionPoint)[])[];
    readonly lines?: readonly (readonly PlanPoint[])[];
    readonly texts?: readonly DrawnText[];
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

const safe = (text: string) => text.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);

/** The drawing as SVG at its true size in mm. */
export function writeSvg({ layers }: Drawing): string {
  const all = layers.flatMap(({ outlines, lines = [] }) => [...outlines, ...lines].flat());
  const [x0, x1] = [Math.min(...all.map(([x]) => x)), Math.max(...all.map(([x]) => x))];
  const [y0, y1] = [Math.min(...all.map(([, y]) => y)), Math.max(...all.map(([, y]) => y))];
  const put = ([x, y]: PlanPoint | SectionPoint) => `${number(x - x0)} ${number(y1 - y)}`;
  const path = (points: readonly (PlanPoint | SectionPoint)[], end: string) => `M${points.map(put).join('L')}${end}`;
  const groups = layers.flatMap(({ name, outlines, lines = [], texts = [] }) => {
    const d = [...outlines.map((outline) => path(outline, 'Z')), ...lines.map((line) => path(line, ''))].join('');
    return [
      ...(d ? [`  <path id="${name}" d="${d}" fill="none" stroke="#000" stroke-width="0.3"/>`] : []),
      ...texts.map(
        ({ at, height, text }) =>
          `  <text x="${number(at[0] - x0)}" y="${number(y1 - at[1])}" font-size="${number(height)}">${safe(text)}</text>`,
      ),
    ];
  });
  const [width, height] = [number(x1 - x0), number(y1 - y0)];
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">`,
    ...groups,
    '</svg>',
    '',
  ].join('\n');
}

type DxfLine = string | number;

const polyline = (layer: string, points: readonly (PlanPoint | SectionPoint)[], closed: boolean): DxfLine[] => [
  ...[0, 'POLYLINE', 8, layer, 66, 1, 70, closed ? 1 : 0],
  ...points.flatMap(([x, y]) => [0, 'VERTEX', 8, layer, 10, number(x), 20, number(y)]),
  ...[0, 'SEQEND'],
];

const dxfText = (layer: string, { at: [x, y], height, text }: DrawnText): DxfLine[] => [
  ...[0, 'TEXT', 8, layer, 10, number(x), 20, number(y), 40, number(height)],
  // One line of the file: a text never ends one.
  ...[1, text.replace(/[\r\n]+/g, ' ')],
];

/** The drawing as DXF (AutoCAD R12 ASCII) in mm: one polyline an outline, closed, or a line, open. */
export function writeDxf({ layers }: Drawing): string {
  const lines: DxfLine[] = [
    ...[0, 'SECTION', 2, 'HEADER', 9, '$INSUNITS', 70, 4, 0, 'ENDSEC', 0, 'SECTION', 2, 'ENTITIES'],
    ...layers.flatMap(({ name, outlines, lines: open = [], texts = [] }) => [
      ...outlines.flatMap((outline) => polyline(name, outline, true)),
      ...open.flatMap((line) => polyline(name, line, false)),
      ...texts.flatMap((text) => dxfText(name, text)),
    ]),
    ...[0, 'ENDSEC', 0, 'EOF'],
  ];
  return `${lines.join('\n')}\n`;
}
