import { msg, type Message } from '../../foundation/units/index.js';
import dxfParser from 'dxf-parser';
import { XMLParser, XMLValidator } from 'fast-xml-parser';
import svgpath from 'svgpath';
import { outlineArea, type PlanPoint } from '../solids/index.js';
import { closedOf, flatten, near, type Loop } from './path-loops.js';
import { refuse } from './refuse.js';

/** Closed outlines of a drawing, largest first, in mm, y upwards. */
export interface OutlineReading {
  readonly outlines: readonly (readonly PlanPoint[])[];
  /** mm in a unit of the file, where the file said it. */
  readonly unit?: number;
}

const MOST_CHARACTERS = 30_000_000;
const MOST_POINTS = 200_000;
/** Straight pieces of a whole circle. */
const ROUND = 72;

function finish(loops: readonly Loop[], what: Message, unit: number | undefined): OutlineReading {
  const count = loops.reduce((sum, loop) => sum + loop.length, 0);
  if (count > MOST_POINTS)
    throw refuse(msg('meshes.tooManyPoints', { count, mostPoints: MOST_POINTS }), msg('meshes.simplify'));
  if (loops.some((loop) => loop.some(([x, y]) => !Number.isFinite(x) || !Number.isFinite(y))))
    throw refuse(msg('meshes.pointNoNumber'), msg('meshes.saveAgain'));
  if (loops.length === 0) throw refuse(msg('meshes.noClosedOutline'), msg('meshes.closeOutline', { what }));
  const outlines = [...loops].sort((a, b) => Math.abs(outlineArea(b)) - Math.abs(outlineArea(a)));
  return { outlines, ...(unit !== undefined && { unit }) };
}

const mmOf: Readonly<Record<string, number>> = { mm: 1, cm: 10, in: 25.4, pt: 25.4 / 72, pc: 25.4 / 6, px: 25.4 / 96 };

type Attributes = Readonly<Record<string, string>>;
/** A node of the parsed drawing: its name with its children, and its attributes beside. */
type XmlNode = Readonly<Record<string, unknown>>;

/** An element as the path that it draws. */
function pathOf(name: string, at: Attributes): string | undefined {
  const n = (key: string) => Number.parseFloat(at[key] ?? '0') || 0;
  switch (name) {
    case 'path':
      return at.d;
    case 'polygon':
      return at.points ? `M${at.points}Z` : undefined;
    case 'polyline':
      return at.points ? `M${at.points}` : undefined;
    case 'rect':
      return `M${n('x')} ${n('y')}h${n('width')}v${n('height')}h${-n('width')}Z`;
    case 'circle':
    case 'ellipse': {
      const [rx, ry] = name === 'circle' ? [n('r'), n('r')] : [n('rx'), n('ry')];
      return `M${n('cx') - rx} ${n('cy')}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0Z`;
    }
    default:
      return undefined;
  }
}

/** Parts of a drawing that are not drawn where they stand. */
const hidden = ['defs', 'symbol', 'clipPath', 'mask', 'pattern', 'marker'];

function collectPaths(nodes: readonly XmlNode[], transform: string, into: string[]): void {
  for (const node of nodes) {
    const name = Object.keys(node).find((key) => key !== ':@');
    if (!name || hidden.includes(name)) continue;
    const at = (node[':@'] ?? {}) as Attributes;
    const own = [transform, at.transform ?? ''].join(' ').trim();
    const d = pathOf(name, at);
    if (d) into.push(svgpath(d).transform(own).abs().unshort().unarc().toString());
    const children = node[name];
    if (Array.isArray(children)) collectPaths(children as XmlNode[], own, into);
  }
}

/** mm in a user unit of an SVG: from its width and view box, where it says its width in a length. */
function unitOfSvg(at: Attributes): number | undefined {
  const width = /^\s*([\d.]+)\s*(mm|cm|in|pt|pc|px)?\s*$/.exec(at.width ?? '');
  const box = (at.viewBox ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  if (!width?.[2] || width[2] === 'px') return undefined;
  const mm = Number(width[1]) * mmOf[width[2]]!;
  return box.length === 4 && box[2]! > 0 ? mm / box[2]! : mmOf[width[2]];
}

function readSvg(text: string): OutlineReading {
  if (/<!ENTITY|<!DOCTYPE[^>]*\[/i.test(text)) throw refuse(msg('meshes.declaresEntities'), msg('meshes.savePlainSvg'));
  if (/<script\b|\son\w+\s*=|javascript:/i.test(text))
    throw refuse(msg('meshes.carriesScript'), msg('meshes.savePlainSvg'));
  if (XMLValidator.validate(text) !== true) throw refuse(msg('meshes.damaged'), msg('meshes.saveAgain'));
  const nodes = new XMLParser({
    preserveOrder: true,
    ignoreAttributes: false,
    attributeNamePrefix: '',
    processEntities: false,
    parseAttributeValue: false,
  }).parse(text) as XmlNode[];
  const root = nodes.find((node) => 'svg' in node);
  if (!root) throw refuse(msg('meshes.notSvg'), msg('meshes.chooseDrawing'));
  const paths: string[] = [];
  collectPaths(root.svg as XmlNode[], '', paths);
  const unit = unitOfSvg((root[':@'] ?? {}) as Attributes);
  const scale = unit ?? 25.4 / 96;
  const loops = closedOf(paths.flatMap(flatten)).map((loop) =>
    loop.map(([x, y]): PlanPoint => [x * scale, -y * scale]),
  );
  return finish(loops, msg('meshes.theDrawing'), unit);
}

/** mm in a unit of a DXF, by its $INSUNITS. */
const dxfUnits: Readonly<Record<number, number>> = { 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000 };

interface DxfPoint {
  readonly x: number;
  readonly y: number;
  readonly bulge?: number;
}

/** A side of a polyline: straight, or an arc by its bulge (tangent of a quarter of its sweep). */
function sideOf(a: DxfPoint, b: DxfPoint): Loop {
  const bulge = a.bulge ?? 0;
  if (bulge === 0) return [[a.x, a.y]];
  const sweep = 4 * Math.atan(bulge);
  const [mx, my] = [(a.x + b.x) / 2, (a.y + b.y) / 2];
  const off = (1 - bulge * bulge) / (4 * bulge);
  const [cx, cy] = [mx - (b.y - a.y) * off, my + (b.x - a.x) * off];
  const r = Math.hypot(a.x - cx, a.y - cy);
  const from = Math.atan2(a.y - cy, a.x - cx);
  const count = Math.max(4, Math.ceil((Math.abs(sweep) / (2 * Math.PI)) * ROUND));
  return Array.from({ length: count }, (_, i): PlanPoint => {
    const angle = from + (sweep * i) / count;
    return [cx + r * Math.cos(angle), cy + r * Math.sin(angle)];
  });
}

/** What is read of an entity of a DXF. */
interface DxfEntity {
  readonly type: string;
  readonly vertices?: DxfPoint[];
  readonly shape?: boolean;
  readonly center?: DxfPoint;
  readonly radius?: number;
  readonly startAngle?: number;
  readonly endAngle?: number;
}

function arcPoints({ x, y }: DxfPoint, r: number, from: number, to: number): Loop {
  const sweep = to > from ? to - from : to - from + 2 * Math.PI;
  const count = Math.max(4, Math.ceil((sweep / (2 * Math.PI)) * ROUND));
  return Array.from({ length: count + 1 }, (_, i): PlanPoint => {
    const angle = from + (sweep * i) / count;
    return [x + r * Math.cos(angle), y + r * Math.sin(angle)];
  });
}

/** An entity as a run of points. */
function runOf({
  type,
  vertices = [],
  shape = false,
  center,
  radius = 0,
  startAngle = 0,
  endAngle = 2 * Math.PI,
}: DxfEntity) {
  if (type === 'CIRCLE' && center) return { points: arcPoints(center, radius, 0, 2 * Math.PI), closed: true };
  if (type === 'ARC' && center) return { points: arcPoints(center, radius, startAngle, endAngle), closed: false };
  if (type === 'LINE' && vertices.length > 1)
    return { points: vertices.map(({ x, y }): PlanPoint => [x, y]), closed: false };
  if ((type === 'LWPOLYLINE' || type === 'POLYLINE') && vertices.length > 1) {
    const sides = vertices.flatMap((a, i) =>
      i + 1 < vertices.length || shape ? sideOf(a, vertices[(i + 1) % vertices.length]!) : [[a.x, a.y] as const],
    );
    return { points: sides, closed: shape };
  }
  return undefined;
}

/** Joins open runs whose ends meet to longer ones. */
function chained(runs: readonly Loop[], within: number): Loop[] {
  const left = [...runs];
  const done: Loop[] = [];
  for (let run = left.pop(); run; run = left.pop()) {
    for (let joined = true; joined;) {
      const end: PlanPoint = run[run.length - 1]!;
      const i = left.findIndex((other) => near(other[0]!, end, within) || near(other[other.length - 1]!, end, within));
      joined = i !== -1;
      if (!joined) break;
      const [next] = left.splice(i, 1) as [Loop];
      run = [...run, ...(near(next[0]!, end, within) ? next.slice(1) : [...next].reverse().slice(1))];
    }
    done.push(run);
  }
  return done;
}

interface DxfFile {
  readonly header?: Readonly<Record<string, number>>;
  readonly entities?: readonly DxfEntity[];
}

/** The package's class, which its types hide behind a namespace. */
const Parser = dxfParser as unknown as new () => { parseSync(text: string): DxfFile | null };

function readDxf(text: string): OutlineReading {
  let parsed: DxfFile | null;
  try {
    parsed = new Parser().parseSync(text);
  } catch {
    throw refuse(msg('meshes.damaged'), msg('meshes.saveAsDxf'));
  }
  const units = parsed?.header?.$INSUNITS;
  const unit = units === undefined ? undefined : dxfUnits[units];
  const runs = (parsed?.entities ?? []).flatMap((entity) => runOf(entity) ?? []);
  const open = runs.filter(({ closed }) => !closed).map(({ points }) => points);
  const loops = closedOf([
    ...runs.filter(({ closed }) => closed),
    ...chained(open, 0.01).map((points) => ({ points, closed: false })),
  ]);
  const scale = unit ?? 1;
  return finish(
    loops.map((loop) => loop.map(([x, y]): PlanPoint => [x * scale, y * scale])),
    msg('meshes.theDrawing'),
    unit,
  );
}

/** Reads the closed outlines of an SVG or a DXF, by what it holds rather than by its name. @throws InputError */
export function readDrawing(text: string): OutlineReading {
  if (text.trim() === '') throw refuse(msg('meshes.empty'), msg('meshes.chooseAnotherFile'));
  if (text.length > MOST_CHARACTERS) throw refuse(msg('meshes.drawingTooLarge'), msg('meshes.simplifyDrawing'));
  if (/<svg[\s>]/i.test(text)) return readSvg(text);
  if (/^\s*0\s*\r?\nSECTION/m.test(text)) return readDxf(text);
  throw refuse(msg('meshes.notADrawing'), msg('meshes.saveAsDrawing'));
}
