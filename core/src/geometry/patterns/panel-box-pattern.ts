import {
  computed,
  exactly,
  figure,
  line,
  msg,
  quantity,
  type Figure,
  type Message,
} from '../../foundation/units/index.js';
import type { MouldShape } from '../moulds/index.js';
import { cutPart, rectangle, type PlacedPart, type PlanLine, type WorkedPattern } from './cut-part.js';
import { freshMass, straightBox } from './common-answers.js';
import type { PanelBoxPattern, PatternWays } from './pattern.js';
import { wallRing } from './wall-ring.js';

/** The board of a panel's mould stands so far beyond it all round, mm. Handbook 19. */
const MOULD_MARGIN = 30;

/** A tray in which a panel is cast lying down. */
const panelMould = (length: number, width: number, thickness: number): MouldShape => ({
  outer: straightBox(length, width, thickness),
  cores: [],
  inserts: [],
}); // prettier-ignore

/** The side panel that gives the outside that is wanted: the end panels cover its edges, or all meet at 45°. mm */
export const fittingSide = ({ length, panel, corner }: PanelBoxPattern): number =>
  corner === 'mitred' ? length : length - 2 * panel;

/** Outside length of the box as it would be put together. mm */
function assembledLength(pattern: PanelBoxPattern): number {
  const side = pattern.drawnSide ?? fittingSide(pattern);
  return pattern.corner === 'mitred' ? side : side + 2 * pattern.panel;
}

/** The wall trap: what a side panel as long as the outside comes to. */
function wallTrap(pattern: PanelBoxPattern): Message[] {
  const over = assembledLength(pattern) - pattern.length;
  if (Math.abs(over) < 0.5) return [];
  const values = { out: quantity(Math.abs(over), 'mm'), outside: quantity(assembledLength(pattern), 'mm'), side: quantity(fittingSide(pattern), 'mm') }; // prettier-ignore
  return [msg(over > 0 ? 'patterns.wallTrapLong' : 'patterns.wallTrapShort', values)];
}

/** Seen from above, as the panels stand. */
function planOf(pattern: PanelBoxPattern): PlanLine[] {
  const { width, panel, corner } = pattern;
  const long = assembledLength(pattern);
  const wall = (points: readonly (readonly [number, number])[]): PlanLine => ({ layer: 'wall', points, closed: true });
  if (corner === 'mitred')
    return [
      wall([[0, 0], [long, 0], [long - panel, panel], [panel, panel]]),
      wall([[long, 0], [long, width], [long - panel, width - panel], [long - panel, panel]]),
      wall([[long, width], [0, width], [panel, width - panel], [long - panel, width - panel]]),
      wall([[0, width], [0, 0], [panel, panel], [panel, width - panel]]),
    ]; // prettier-ignore
  const side = long - 2 * panel;
  return [
    wall(rectangle(side, panel, panel, 0)),
    wall(rectangle(panel, width, long - panel, 0)),
    wall(rectangle(side, panel, panel, width - panel)),
    wall(rectangle(panel, width, 0, 0)),
  ];
}

const lengthFigure = (pattern: PanelBoxPattern): Figure => {
  const { panel, corner } = pattern;
  const side = pattern.drawnSide ?? fittingSide(pattern);
  return figure(assembledLength(pattern), 'mm', computed, [
    line(msg('patterns.sidePanel'), side, 'mm'),
    ...(corner === 'covered' ? [line(msg('patterns.panelThickness'), panel, 'mm')] : []),
    line(msg('patterns.outsideLength'), assembledLength(pattern), 'mm', msg(corner === 'covered' ? 'patterns.plusTwoPanels' : 'patterns.mitredPanels')), // prettier-ignore
  ]);
};

/** Works out a box of four cast panels, as it stands: the end panels cover the edges of the side panels. Handbook 19, "The wall trap". */
export function workPanelBox(pattern: PanelBoxPattern, { density }: PatternWays): WorkedPattern {
  const { length, width, height, panel, corner } = pattern;
  const side = pattern.drawnSide ?? fittingSide(pattern);
  const mitre = corner === 'mitred' ? 45 : 0;
  const volume = (2 * panel * height * (side + width - (corner === 'mitred' ? 2 * panel : 0))) / 1000;
  const shared = { stuff: 'panel' as const, count: 2, thickness: panel, mitres: [0, mitre, 0, mitre] };
  return {
    parts: [
      cutPart({ ...shared, key: 'A', name: msg('patterns.sidePanel'), outline: rectangle(side, height) }),
      cutPart({ ...shared, key: 'B', name: msg('patterns.endPanel'), outline: rectangle(width, height) }),
    ],
    pieces: panelsOf(pattern, side),
    joints: [],
    answers: [
      { name: msg('patterns.outsideLength'), figure: lengthFigure(pattern) },
      { name: msg('patterns.outsideWidth'), figure: figure(width, 'mm', computed, [line(msg('patterns.endPanel'), width, 'mm'), line(msg('patterns.outsideWidth'), width, 'mm')]) }, // prettier-ignore
      { name: msg('patterns.fittingSide'), figure: figure(fittingSide(pattern), 'mm', computed, [line(msg('patterns.wantedLength'), length, 'mm'), line(msg('patterns.panelThickness'), panel, 'mm'), line(msg('patterns.fittingSide'), fittingSide(pattern), 'mm')]) }, // prettier-ignore
      freshMass(volume, density, msg('patterns.panelVolume')),
    ],
    warnings: wallTrap(pattern),
    notes: [msg('patterns.mouldMargin', { margin: exactly(MOULD_MARGIN, 'mm') })],
    cautions: [],
    moulds: [
      { name: msg('patterns.sidePanel'), shape: panelMould(side, height, panel), piece: 'panel', count: 2 },
      { name: msg('patterns.endPanel'), shape: panelMould(width, height, panel), piece: 'panel', count: 2 },
    ],
    plan: planOf(pattern),
  };
}

/** The four panels as they fold: those that cover an edge, or are mitred, reach over their inner side by a neighbour's thickness. */
function panelsOf({ width, height, panel, corner }: PanelBoxPattern, side: number): PlacedPart[] {
  const mitred = corner === 'mitred';
  const ring = wallRing([side - (mitred ? 2 * panel : 0), width - 2 * panel]);
  return ring.map(({ x, clear, hinge }, k) => {
    const reach = k % 2 === 1 || mitred ? panel : 0;
    const whole = rectangle(clear + 2 * reach, height, x - reach, 0);
    const inner = mitred ? rectangle(clear, height, x, 0) : whole;
    return { number: k + 1, part: k % 2 === 0 ? 'A' : 'B', inner, outer: whole, thickness: panel, ...hinge };
  });
}
