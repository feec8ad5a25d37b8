import { render } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { pieceView, type MouldShape } from '@dewpot/core/moulds';
import type { PlanPoint, Solid } from '@dewpot/core/solids';
import { Piece, pieceSize } from './piece';
import { facesOfPiece, frontChain, loopPath, screen, TIP } from './piece-path';

const alone = (outer: Solid): MouldShape => ({ outer, cores: [], inserts: [] });
const hexagon = alone({ kind: 'polygon-frustum', sides: 6, bottomAcross: 180, topAcross: 210, height: 150 });
const pail = alone({ kind: 'round-frustum', bottomDiameter: 160, topDiameter: 200, height: 180 });
const square: PlanPoint[] = [
  [-50, -40],
  [50, -40],
  [50, 40],
  [-50, 40],
];

const drawn = (shape: MouldShape, stage?: 'setting' | 'curing' | 'sealed') => {
  const { container } = render(
    <svg>
      <Piece shape={shape} colour="#998877" scale={0.4} {...(stage && { stage })} />
    </svg>,
  );
  return [...container.querySelectorAll('path')].map((path) => path.getAttribute('d')!);
};

describe('a piece on the screen', () => {
  it('takes its own width and height, its depth tipped towards the eye', () => {
    const { width, height } = pieceSize(pail, 2);
    expect(width).toBeCloseTo(400, 2);
    expect(height).toBeCloseTo(360 + 400 * TIP, 2);
  });
  it('puts what lies behind higher than what lies before', () => {
    expect(screen([0, 40], 0, 1)[1]).toBeLessThan(screen([0, -40], 0, 1)[1]);
    expect(screen([0, 0], 100, 1)[1]).toBe(-100);
  });
  it('is drawn of numbers, whatever its kind and stage', () => {
    const kinds: Solid[] = [
      pail.outer,
      hexagon.outer,
      { kind: 'cap', rimDiameter: 250, depth: 95 },
      { kind: 'polyhedron', which: 'icosahedron', edge: 80, open: 'triangle' },
      { kind: 'ring', innerDiameter: 260, width: 45, depth: 40 },
      { kind: 'leaf', area: 90000, middle: 20, edge: 12 },
      { kind: 'known-volume', volume: 480, length: 120, width: 90, height: 60 },
    ];
    for (const kind of kinds)
      for (const stage of [undefined, 'setting', 'curing', 'sealed'] as const)
        for (const d of drawn(alone(kind), stage))
          expect(d, kind.kind).toMatch(/^M[^a-df-zN]*[\d\sMLAHVZaQCz.,\-e]*$/i);
  });
  it('of a round pot keeps its arcs, of a sided one its corners', () => {
    expect(drawn(pail)[0]).toContain('A');
    expect(drawn(hexagon)[0]).not.toContain('A');
  });
});

describe('the front of an outline', () => {
  it('runs from its left end to its right along what is nearest', () => {
    expect(frontChain(square)).toEqual([
      [-50, -40],
      [50, -40],
      [50, 40],
    ]);
  });
  it('leaves out what is drawn in', () => {
    const notched: PlanPoint[] = [...square.slice(0, 1), [0, -10], ...square.slice(1)];
    expect(frontChain(notched)).not.toContainEqual([0, -10]);
  });
  it('closes each of several outlines', () => {
    expect(loopPath([square, square], 10, 1).match(/Z/g)).toHaveLength(2);
  });
});

describe('flat faces', () => {
  it('are seen from the front only, lighter at the left than at the right', () => {
    const faces = facesOfPiece(pieceView(hexagon).facets, 1);
    expect(faces.length).toBeGreaterThanOrEqual(2);
    expect(faces.length).toBeLessThan(6);
    const byPlace = faces
      .map(({ d, light }) => ({ x: Number(/^M(-?[\d.]+)/.exec(d)![1]), light }))
      .sort((a, b) => a.x - b.x);
    expect(byPlace[0]!.light).toBeGreaterThan(byPlace[byPlace.length - 1]!.light);
  });
  it('without any area are left out', () => {
    const nothing = [
      [0, 0, 0],
      [0, 0, 0],
      [0, 0, 0],
    ] as const;
    expect(facesOfPiece([nothing], 1)).toEqual([]);
  });
});
