import { english } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import { alone, box, star } from '../../testing/shapes.js';
import { outlineDrawing, writeDxf, writeSvg } from '../exports/index.js';
import { outlineArea } from '../solids/index.js';
import { readDrawing } from './index.js';

const svg = (body: string, head = 'width="200mm" height="100mm" viewBox="0 0 400 200"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${body}</svg>`;
const areaOf = (text: string) => Math.abs(outlineArea(readDrawing(text).outlines[0]!));
const dxf = (...pairs: (string | number)[]) =>
  [
    '0',
    'SECTION',
    '2',
    'HEADER',
    '9',
    '$INSUNITS',
    '70',
    '4',
    '0',
    'ENDSEC',
    '0',
    'SECTION',
    '2',
    'ENTITIES',
    ...pairs,
    '0',
    'ENDSEC',
    '0',
    'EOF',
  ].join('\n');

it('bends are as near as the outline asks for, whatever their size', () => {
  const held = (d: string) => (areaOf(svg(`<path d="${d}"/>`, 'width="200mm" height="200mm" viewBox="0 0 200 200"')) * 25) / 1000;
  expect(held('m0,0 q75,120 150,0 z')).toBeCloseTo(150, 1);
  expect(held('m0,0 q75,120 150,0 z')).toBeGreaterThan(149.98);
  const half = held('M20 50 A30 30 0 0 1 80 50 z');
  expect(half).toBeCloseTo((Math.PI * 30 * 30 * 25) / 2000, 1);
}); // prettier-ignore

describe('an SVG', () => {
  it('comes in mm by its own width and view box', () => {
    expect(areaOf(svg('<rect x="10" y="10" width="100" height="60"/>'))).toBeCloseTo(50 * 30, 6);
    expect(readDrawing(svg('<rect width="96" height="96"/>', 'width="96"')).unit).toBeUndefined();
    expect(areaOf(svg('<rect width="96" height="96"/>', 'width="96"'))).toBeCloseTo(25.4 ** 2, 6);
  });
  it('draws circles, ellipses, polygons, bends and turned groups', () => {
    expect(areaOf(svg('<circle cx="50" cy="50" r="40"/>')) / (Math.PI * 400)).toBeCloseTo(1, 2);
    expect(areaOf(svg('<ellipse cx="50" cy="50" rx="40" ry="20"/>')) / (Math.PI * 200)).toBeCloseTo(1, 2);
    expect(areaOf(svg('<polygon points="0,0 40,0 40,40"/>'))).toBeCloseTo(200, 6);
    expect(
      areaOf(
        svg('<g transform="translate(9 9) scale(2)"><g transform="rotate(30)"><rect width="20" height="10"/></g></g>'),
      ),
    ).toBeCloseTo(200, 4);
    expect(areaOf(svg('<path d="M0 0q50 -50 100 0v40h-100z"/>')) / ((4000 + 100 * 25 * (2 / 3) * 1) / 4)).toBeCloseTo(
      1,
      2,
    );
  });
  it('gives its largest outline first and leaves open lines and hidden parts out', () => {
    const { outlines } = readDrawing(
      svg(
        '<defs><rect width="300" height="190"/></defs><circle cx="9" cy="9" r="4"/><path d="M0 0L50 0L50 50"/><rect width="80" height="80"/>',
      ),
    );
    expect(outlines).toHaveLength(2);
    expect(Math.abs(outlineArea(outlines[0]!))).toBeCloseTo(1600, 6);
  });
});

describe('a DXF', () => {
  it('draws closed polylines with their bulges, circles, and lines whose ends meet', () => {
    const half = dxf(
      '0',
      'LWPOLYLINE',
      '8',
      'a',
      '90',
      '2',
      '70',
      '1',
      '10',
      '0',
      '20',
      '0',
      '42',
      '1',
      '10',
      '100',
      '20',
      '0',
      '42',
      '1',
    );
    expect(areaOf(half) / (Math.PI * 2500)).toBeCloseTo(1, 2);
    expect(areaOf(dxf('0', 'CIRCLE', '8', '0', '10', '5', '20', '5', '40', '30')) / (Math.PI * 900)).toBeCloseTo(1, 2);
    const side = (x0: number, y0: number, x1: number, y1: number) => [
      '0',
      'LINE',
      '8',
      '0',
      '10',
      x0,
      '20',
      y0,
      '11',
      x1,
      '21',
      y1,
    ];
    expect(
      areaOf(dxf(...side(0, 0, 40, 0), ...side(40, 30, 40, 0), ...side(40, 30, 0, 30), ...side(0, 30, 0, 0))),
    ).toBeCloseTo(1200, 6);
  });
});

describe('what is written is read again', () => {
  const shape = alone({ kind: 'prism', outline: star, depth: 60, draft: 0 });
  it.each([
    ['SVG', writeSvg(outlineDrawing(shape))],
    ['DXF', writeDxf(outlineDrawing(shape))],
  ])('%s', (_, text) => {
    const reading = readDrawing(text);
    expect(reading.unit).toBe(1);
    expect(Math.abs(outlineArea(reading.outlines[0]!))).toBeCloseTo(Math.abs(outlineArea(star)), 0);
    expect(readDrawing(writeDxf(outlineDrawing(alone(box(100, 50, 20))))).outlines).toHaveLength(2);
  });
});

describe('a drawing that cannot be read is refused in a clear line', () => {
  it.each<[string, string, RegExp]>([
    ['empty', ' ', /empty/],
    ['cut short', svg('<rect width="80" height="80"/>').slice(0, 80), /cut short/],
    [
      'with a script',
      svg('<script>fetch("x")</script><rect width="80" height="80"/>'),
      /script; nothing of it was run/,
    ],
    ['with a handler', svg('<rect width="80" height="80" onload="x()"/>'), /script/],
    [
      'with an outside entity',
      `<!DOCTYPE svg [<!ENTITY a SYSTEM "file:///etc/hosts">]>${svg('<text>&a;</text>')}`,
      /entities/,
    ],
    ['without a closed outline', svg('<path d="M0 0L50 0L50 50"/>'), /no closed outline/],
    ['of points that are none', svg('<polygon points="0,0 NaN,4 5,5"/>'), /no closed outline|no number/],
    ['neither', 'just a note', /neither an SVG nor a DXF/],
    ['a DXF cut short', '0\nSECTION\n2\nENTITIES\n0\nLWPOLYLINE\n8\n', /damaged|no closed/],
  ])('%s', (_, text, told) => {
    try {
      readDrawing(text);
      expect.unreachable();
    } catch (error) {
      expect(error).toBeInstanceOf(InputError);
      expect(english((error as InputError).issues[0]!.message)).toMatch(told);
    }
  });
});
