import { msg, type Message } from '../../foundation/units/index.js';
import type { MouldShape } from './mould.js';

/** What a mould is for: sets the least wall and the demoulding time of the handbook. */
export const pieceKinds = [
  'small-pot',
  'dish',
  'pot',
  'hypertufa-pot',
  'trough',
  'slab',
  'lamp',
  'leaf',
  'panel',
  'ornament',
] as const;
export type PieceKind = (typeof pieceKinds)[number];

export interface PieceGuide {
  readonly name: Message;
  /** Least wall of that piece, mm. */
  readonly leastWall: number;
  /** Least thickness as a share of the span, where the piece lies free. */
  readonly ofSpan?: number;
}

/** Guide to least walls by piece; a default that the caster may go under. */
export const pieceGuides: Record<PieceKind, PieceGuide> = {
  'small-pot': { name: msg('moulds.pieceSmallPot'), leastWall: 8 },
  dish: { name: msg('moulds.pieceDish'), leastWall: 8 },
  pot: { name: msg('moulds.piecePot'), leastWall: 12 },
  'hypertufa-pot': { name: msg('moulds.pieceHypertufaPot'), leastWall: 35 },
  trough: { name: msg('moulds.pieceTrough'), leastWall: 45 },
  slab: { name: msg('moulds.pieceSlab'), leastWall: 40, ofSpan: 0.1 },
  lamp: { name: msg('moulds.pieceLamp'), leastWall: 20 },
  leaf: { name: msg('moulds.pieceLeaf'), leastWall: 12 },
  panel: { name: msg('moulds.piecePanel'), leastWall: 20 },
  ornament: { name: msg('moulds.pieceOrnament'), leastWall: 8 },
};

/** Fluid sand-cement mix, kg/L. */
const FLUID = 2.15;
/** Kinds of piece that are usually made of something else: hypertufa, lightweight, gravelled concrete; fresh, kg/L. */
const otherMixes: Partial<Record<PieceKind, number>> = {
  'hypertufa-pot': 1.31,
  trough: 1.31,
  panel: 1.54,
  slab: 2.38,
};

/** Fresh density of a usual mix for a kind of piece, kg/L: taken where no mix is named. By the starter mixes. */
export const usualDensity = (piece: PieceKind): number => otherMixes[piece] ?? FLUID;

/** Forms that hold only where they lie: strips bent round nails, and a leaf over sand. */
const lying: readonly MouldShape['outer']['kind'][] = ['ring', 'arc', 'spiral', 'leaf'];

/** Whether a full mould cannot be moved until its cast is out, whatever it weighs: panels, strip moulds, leaves over sand. */
export const staysPut = ({ shape, piece }: { readonly shape: MouldShape; readonly piece: PieceKind }): boolean =>
  piece === 'panel' || lying.includes(shape.outer.kind);
