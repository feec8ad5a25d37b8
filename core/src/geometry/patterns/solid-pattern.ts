import { defined } from '../../foundation/math/index.js';
import { computed, exactly, figure, line, msg, quantity, type Message } from '../../foundation/units/index.js';
import { facesOf, openFace, outlineArea, solidVolume, type PlanPoint, type Polyhedron } from '../solids/index.js';
import { freshMass } from './common-answers.js';
import { circleOutline, cutPart, partKey, toDegrees, toRadians, type CutPart, type Joint, type PatternAnswer, type PlacedPart, type WorkedPattern } from './cut-part.js'; // prettier-ignore
import { dihedral, netOfSolid, type NetFace } from './faced-solid.js';
import type { PatternWays, SolidPattern } from './pattern.js';

/** The most that a bench saw's blade tilts, degrees. */
const SAW_TILT = 45;

const faceNames: Readonly<Record<number, Message>> = {
  3: msg('patterns.triangle'),
  4: msg('patterns.square'),
  5: msg('patterns.pentagon'),
};

/** Tells faces apart that are cut otherwise: corners inside, and area outside. */
const alike = ({ inner, outer }: NetFace): string => `${inner.length} ${outlineArea(outer).toFixed(3)}`;

/** Mitre of the side between two faces, degrees from square: half of what their angle is short of straight. */
const mitreBetween = (faces: ReturnType<typeof facesOf>, a: number, b: number): number =>
  90 - toDegrees(dihedral(defined(faces[a]), defined(faces[b]))) / 2;

/** An outline whose first side lies along x from the origin, counter-clockwise. */
function laidAtOrigin(outline: readonly PlanPoint[], by: readonly PlanPoint[] = outline): PlanPoint[] {
  const [[x0, y0], [x1, y1]] = [defined(by[0]), defined(by[1])];
  const turn = -Math.atan2(y1 - y0, x1 - x0);
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return outline.map(([x, y]): PlanPoint => [(x - x0) * cos - (y - y0) * sin, (x - x0) * sin + (y - y0) * cos]);
}

/** A part for all faces that are cut alike. The one with the holder's plug is marked, and so a part of its own. */
function partOf(key: string, all: readonly NetFace[], pattern: SolidPattern, plug: SolidPattern['holder']): CutPart {
  const first = defined(all[0]);
  const inner = laidAtOrigin(first.inner);
  const middle = ([0, 1] as const).map((k) => inner.reduce((sum, point) => sum + point[k], 0) / inner.length);
  const marks = plug ? [{ points: circleOutline(plug.diameter / 2, middle[0], middle[1]), closed: true }] : [];
  const shared = {
    key,
    name: defined(faceNames[inner.length]),
    stuff: 'board' as const,
    count: all.length,
    thickness: pattern.board,
  };
  if (pattern.joint === 'taped') return cutPart({ ...shared, outline: inner, marks });
  const faces = facesOf(pattern.which);
  const mitres = first.inner.map((_, k) => mitreBetween(faces, first.face, defined(first.beside[k])));
  const outline = laidAtOrigin(first.outer, first.inner);
  return cutPart({
    ...shared,
    outline,
    // A nipped tip is cut at the slope that its neighbours leave; the saw is set for the sides alone.
    mitres: outline.map((_, k) => sideMitre(outline, inner, mitres, k)),
    marks: [{ points: inner, closed: true }, ...marks],
  });
}

/** Which faces are cut alike, as indices of the net: one list a part. */
function groupsOf(net: readonly NetFace[], { holder }: SolidPattern): number[][] {
  const groups = new Map<string, number[]>();
  net.forEach((face, i) => {
    const own = `${alike(face)} ${holder && i === 0 ? 'holder' : ''}`;
    groups.set(own, [...(groups.get(own) ?? []), i]);
  });
  return [...groups.values()];
}

/** The mitre of a side of the outer outline: that of the inner side it runs along; square at a nipped tip. */
function sideMitre(outline: readonly PlanPoint[], inner: readonly PlanPoint[], mitres: readonly number[], at: number) {
  const way = (ring: readonly PlanPoint[], k: number) => {
    const [[x0, y0], [x1, y1]] = [defined(ring[k]), defined(ring[(k + 1) % ring.length])];
    const size = Math.hypot(x1 - x0, y1 - y0);
    return [(x1 - x0) / size, (y1 - y0) / size] as const;
  };
  const own = way(outline, at);
  const along = inner.findIndex((_, k) => own[0] * way(inner, k)[0] + own[1] * way(inner, k)[1] > 1 - 1e-6);
  return along < 0 ? 0 : defined(mitres[along]);
}

/** Pairs of sides that meet when the net is folded and do not hang together in it, numbered. */
function jointsOf(net: readonly NetFace[]): Joint[] {
  const joints: Joint[] = [];
  net.forEach(({ face, inner, beside, hinge }, piece) =>
    beside.forEach((other, k) => {
      const at = net.findIndex((one) => one.face === other);
      if (at <= piece || net[at]?.hinge?.on === piece || hinge?.on === at) return;
      const their = defined(net[at]);
      const back = their.beside.indexOf(face);
      const side = (ring: readonly PlanPoint[], i: number) => ({ from: defined(ring[i]), to: defined(ring[(i + 1) % ring.length]) }); // prettier-ignore
      joints.push({
        number: joints.length + 1,
        sides: [
          { piece, ...side(inner, k) },
          { piece: at, ...side(their.inner, back) },
        ],
      });
    }),
  );
  return joints;
}

function answersOf(pattern: SolidPattern, net: readonly NetFace[], volume: number, { density }: PatternWays): PatternAnswer[] {
  const { which, board, edge } = pattern;
  const faces = facesOf(which);
  const mitres = net.flatMap(({ face, beside }) => beside.map((other) => mitreBetween(faces, face, other)));
  const area = net.reduce((sum, { outer }) => sum + outlineArea(outer), 0);
  const angles = [...new Set(mitres.map((mitre) => mitre.toFixed(6)))].map(Number);
  return [
    { name: msg('patterns.cavity'), figure: figure(volume, 'mL', computed, [line(msg('patterns.edgeInside'), edge, 'mm'), line(msg('patterns.cavity'), volume, 'mL', msg('patterns.closedFaces'))]) },
    ...angles.map((mitre) => ({ name: msg('patterns.mitre'), figure: figure(mitre, '°', computed, [line(msg('patterns.faceAngle'), 180 - 2 * mitre, '°'), line(msg('patterns.mitre'), mitre, '°', '90° − δ/2')]) })),
    ...angles.map((mitre) => {
      const grown = board * Math.tan(toRadians(mitre));
      return { name: msg('patterns.edgeGrows'), figure: figure(grown, 'mm', computed, [line(msg('patterns.boardThickness'), board, 'mm'), line(msg('patterns.mitre'), mitre, '°'), line(msg('patterns.edgeGrows'), grown, 'mm', 't · tan(90° − δ/2)')]) };
    }),
    { name: msg('patterns.boardArea'), figure: figure(area / 1e6, 'm²', computed, [line(msg('patterns.faces'), net.length, 'count'), line(msg('patterns.boardArea'), area / 1e6, 'm²')]) },
    freshMass(volume, density),
  ];
} // prettier-ignore

/** Works out a solid of equal faces: faces with their mitres, the net with its joints, and the mould it makes. Handbook 19. */
export function workSolid(pattern: SolidPattern, ways: PatternWays): WorkedPattern {
  const { which, edge, open, board, joint, holder } = pattern;
  const net = netOfSolid(which, open, edge, board);
  const groups = groupsOf(net, pattern);
  const parts = groups.map((group, at) =>
    partOf(
      partKey(at),
      group.map((i) => defined(net[i])),
      pattern,
      group.includes(0) ? holder : undefined,
    ),
  );
  const outer: Polyhedron = { kind: 'polyhedron', which, edge, open };
  const volume = solidVolume(outer);
  const pieces = net.map((face, i): PlacedPart => ({
    number: i + 1,
    part: partKey(groups.findIndex((group) => group.includes(i))),
    inner: face.inner,
    outer: joint === 'taped' ? face.inner : face.outer,
    thickness: board,
    ...(face.hinge && { hinge: face.hinge }),
  }));
  const steepest = joint === 'mitred' ? steepestOf(net, which) : 0;
  return {
    parts,
    pieces,
    joints: jointsOf(net),
    answers: answersOf(pattern, net, volume, ways),
    // prettier-ignore
    warnings: steepest > SAW_TILT ? [msg('patterns.beyondSaw', { mitre: quantity(steepest, '°', 1), tilt: exactly(SAW_TILT, '°') })] : [],
    notes: [
      msg(joint === 'taped' ? 'patterns.tapeAndFill' : 'patterns.glueMitres', { v: quantity(2 * steepestOf(net, which), '°', 1) }), // prettier-ignore
      ...(holder ? [msg('patterns.holderSits', { depth: exactly(holder.depth, 'mm') })] : []),
    ],
    cautions: joint === 'mitred' ? [msg('patterns.sawCaution')] : [],
    moulds: [
      {
        name: msg('patterns.solidMould'),
        piece: 'lamp',
        count: 1,
        shape: { outer, cores: holder ? [holderCore(holder)] : [], inserts: [] },
      },
    ],
    plan: [],
  };
}

const steepestOf = (net: readonly NetFace[], which: SolidPattern['which']): number =>
  Math.max(...net.flatMap(({ face, beside }) => beside.map((other) => mitreBetween(facesOf(which), face, other))));

const holderCore = ({ diameter, depth }: NonNullable<SolidPattern['holder']>) => ({
  name: 'holder',
  bottom: 0,
  solid: { kind: 'round-frustum' as const, bottomDiameter: diameter, topDiameter: diameter, height: depth },
});

/** Height of the solid inside, from the face opposite the open one, mm. */
export function solidInside({ which, open, edge }: SolidPattern): number {
  const lid = openFace(which, open);
  const others = facesOf(which).flatMap((face) => (face === lid ? [] : [face.distance]));
  return (defined(lid).distance + Math.max(...others)) * edge;
}
