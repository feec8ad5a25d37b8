import { refusal } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../foundation/units/index.js';
import { outlineArea, outlineLength, type PlanPoint } from '../solids/index.js';
import { homography, mapped } from './homography.js';
import { measureTrace, tracePhoto, type PhotoPixels, type PhotoPoint } from './index.js';

const CARD = { cardWidth: 86, cardHeight: 54 };

/** A leaf of notches and a tip, mm. */
const leaf: PlanPoint[] = Array.from({ length: 90 }, (_, i): PlanPoint => {
  const a = (i / 90) * 2 * Math.PI;
  const r = 95 * (1 + 0.25 * Math.cos(a) + 0.05 * Math.cos(9 * a));
  return [r * Math.cos(a), r * Math.sin(a) * 0.8];
});

const inside = (loop: readonly PlanPoint[], [x, y]: PhotoPoint) => {
  if (Math.hypot(x, y) > 190) return false;
  let odd = false;
  loop.forEach(([ax, ay], i) => {
    const [bx, by] = loop[(i + 1) % loop.length]!;
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) odd = !odd;
  });
  return odd;
};

/** Looks along each side of a pixel that an edge crosses. */
const LOOKS = 6;

interface Scene {
  /** Tilt of the camera off straight down and its turn, degrees. */
  readonly tilt: number;
  readonly turn: number;
  /** How much darker the far right corner is. */
  readonly shade: number;
  readonly ground: readonly [number, number, number];
  readonly object: readonly [number, number, number];
  readonly paper: readonly [number, number, number];
  readonly without?: 'card' | 'leaf';
  /** What lies beside the card, about its own middle, mm. */
  readonly beside?: readonly PlanPoint[];
}

/** A picture of a leaf and a card on a plain ground, taken by a made-up camera. */
function photograph({ tilt, turn, shade, ground, object, paper, without, beside = leaf }: Scene): PhotoPixels {
  const [width, height] = [640, 480];
  const [t, s] = [(tilt / 180) * Math.PI, (turn / 180) * Math.PI];
  const project = ([x, y]: PlanPoint): PhotoPoint => {
    const [u, v] = [x * Math.cos(s) - y * Math.sin(s), x * Math.sin(s) + y * Math.cos(s)];
    const depth = 520 + v * Math.sin(t);
    return [width / 2 + (640 * u) / depth, height / 2 + (640 * v * Math.cos(t)) / depth];
  };
  const square: PhotoPoint[] = [
    [-100, -100],
    [100, -100],
    [100, 100],
    [-100, 100],
  ];
  const back = homography(square.map(project), square)!;
  const card: PlanPoint[] = [
    [60, 66],
    [146, 66],
    [146, 120],
    [60, 120],
  ];
  const lying = beside.map(([x, y]): PlanPoint => [x - 40, y - 25]);
  const data = new Uint8ClampedArray(width * height * 4);
  let noise = 7;
  const random = () => {
    noise = (noise * 16807) % 2147483647;
    return (noise % 1000) / 1000;
  };
  const near = lying.map(([x, y]) => Math.hypot(x + 40, y + 25));
  const [least, most] = [Math.min(...near), Math.max(...near)];
  const onLeaf = (p: PhotoPoint) => {
    const far = Math.hypot(p[0] + 40, p[1] + 25);
    return far < least || (far < most && inside(lying, p));
  };
  const seenAt = (x: number, y: number) => {
    const p = mapped(back, [x, y]);
    if (without !== 'card' && inside(card, p)) return paper;
    return without !== 'leaf' && onLeaf(p) ? object : ground;
  };
  // Four pixels meet at a corner: it is looked at once.
  const corners = Array.from({ length: (width + 1) * (height + 1) }, (_, i) => seenAt(i % (width + 1), Math.floor(i / (width + 1)))); // prettier-ignore
  const light22 = new Map([object, paper, ground].map((colour) => [colour, colour.map((n) => n ** 2.2)]));
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = y * (width + 1) + x;
      const [first, ...others] = [at, at + 1, at + width + 1, at + width + 2].map((i) => corners[i]!);
      const even = others.every((seen) => seen === first);
      const looks = even ? 1 : LOOKS;
      // The light of all looks is mixed, as a lens mixes it.
      const cover = [0, 0, 0];
      for (let i = 0; i < looks * looks; i++)
        light22
          .get(even ? first! : seenAt(x + ((i % looks) + 0.5) / looks, y + (Math.floor(i / looks) + 0.5) / looks))!
          .forEach((n, c) => (cover[c]! += n / (looks * looks)));
      const light = 1 - shade * ((x / width + y / height) / 2);
      for (let c = 0; c < 3; c++) {
        data[(y * width + x) * 4 + c] = (cover[c]! * light) ** (1 / 2.2) + (random() - 0.5) * 8;
      }
      data[(y * width + x) * 4 + 3] = 255;
    }
  return { data, width, height };
}

const dark = { ground: [62, 58, 55], object: [86, 140, 60], paper: [240, 238, 230] } as const;
const pale = { ground: [222, 216, 205], object: [58, 96, 44], paper: [40, 60, 130] } as const;

describe('a leaf beside a card', { timeout: 30_000 }, () => {
  it.each<[string, Scene]>([
    ['from straight above', { tilt: 0, turn: 0, shade: 0, ...dark }],
    ['turned', { tilt: 0, turn: 37, shade: 0, ...dark }],
    ['aslant by 15°', { tilt: 15, turn: -20, shade: 0.2, ...dark }],
    ['aslant by 30°', { tilt: 30, turn: 10, shade: 0.2, ...dark }],
    ['aslant by 40° and turned', { tilt: 40, turn: 75, shade: 0.1, ...dark }],
    ['on a pale ground', { tilt: 10, turn: 15, shade: 0, ...pale }],
    ['in light that falls off by half', { tilt: 20, turn: 30, shade: 0.5, ...pale }],
  ])('%s: its area and way round to 2 %%', (_, scene) => {
    const trace = tracePhoto(photograph(scene), CARD);
    const { area, perimeter, outline } = measureTrace(trace, CARD);
    expect(Math.abs(area / outlineArea(leaf) - 1)).toBeLessThan(0.02);
    expect(Math.abs(perimeter / outlineLength(leaf) - 1)).toBeLessThan(0.03);
    expect(outlineArea(outline)).toBeGreaterThan(0);
  });

  it.each([[0, 0], [24, 30]] as const)('of four sides is not taken for the card, seen %s° aslant', (tilt, turn) => {
    // 120 × 90 mm, a point every 5 mm.
    const slab = [[-60, -45, 1, 0, 24], [60, -45, 0, 1, 18], [60, 45, -1, 0, 24], [-60, 45, 0, -1, 18]].flatMap(([x = 0, y = 0, dx = 0, dy = 0, steps]) =>
      Array.from({ length: steps ?? 0 }, (_, i): PlanPoint => [x + 5 * i * dx, y + 5 * i * dy]));
    const { area } = measureTrace(tracePhoto(photograph({ tilt, turn, shade: 0, ...dark, beside: slab }), CARD), CARD);
    expect(Math.abs(area / (120 * 90) - 1)).toBeLessThan(0.04);
  }); // prettier-ignore

  it('is measured again when a corner or a point of it is dragged', () => {
    const trace = tracePhoto(photograph({ tilt: 0, turn: 0, shade: 0, ...dark }), CARD);
    const before = measureTrace(trace, CARD).area;
    const pulled = {
      ...trace,
      outline: trace.outline.map(([x, y], i): PhotoPoint => (i === 0 ? [x - 40, y] : [x, y])),
    };
    expect(measureTrace(pulled, CARD).area).not.toBeCloseTo(before, 0);
    expect(measureTrace(trace, { cardWidth: 172, cardHeight: 108 }).area / before).toBeCloseTo(4, 6);
  });

  it.each([
    ['a missing card', { without: 'card' as const }, /No card/],
    ['nothing beside it', { without: 'leaf' as const }, /Nothing was found beside/],
  ])('tells of %s', (_, part, told) => {
    const photo = photograph({ tilt: 0, turn: 0, shade: 0, ...dark, ...part });
    expect(refusal(() => tracePhoto(photo, CARD))).toMatch(told);
    expect(() => tracePhoto(photo, CARD)).toThrow(InputError);
  });

  it('refuses corners in a line and a card of no size', () => {
    const line: PhotoPoint[] = [
      [0, 0],
      [10, 0],
      [20, 0],
      [0, 10],
    ];
    const card = line as unknown as Parameters<typeof measureTrace>[0]['card'];
    expect(refusal(() => measureTrace({ card, outline: line }, CARD))).toMatch(/no card/);
    expect(() =>
      tracePhoto({ data: new Uint8ClampedArray(4), width: 1, height: 1 }, { cardWidth: 0, cardHeight: 54 }),
    ).toThrow(InputError);
  });
});
