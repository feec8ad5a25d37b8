import { exactly, msg, type Checker, type Range } from '../../foundation/units/index.js';
import { LARGEST_SIZE } from '../solids/index.js';
import type { InsidePiece } from './pattern.js';

const size = (max = LARGEST_SIZE, min = 1): Range => ({ min, max, unit: 'mm' });

/** The sizes of each thing that stands in a mould, with their ranges. */
const sizes: { readonly [W in InsidePiece['what']]: readonly (readonly [field: string, key: string, range: Range])[] } = {
  mesh: [['length', 'slabLength', size()], ['width', 'slabWidth', size()], ['slab', 'slabThickness', size(500)], ['cover', 'cover', size(200, 0)]],
  wire: [['pipe', 'pipeDiameter', size(1000)], ['wire', 'wireDiameter', size(20, 0.2)], ['turns', 'wireTurns', { min: 0.5, max: 500, unit: 'count' }], ['pitch', 'wirePitch', size(1000, 0.2)]],
  core: [['bottom', 'coreBottom', size(LARGEST_SIZE, 0)], ['top', 'coreTop', size()], ['height', 'coreHeight', size()], ['card', 'cardThickness', size(20, 0.1)], ['overlap', 'overlap', size(200, 0)]],
  plug: [['hole', 'drainHole', size(200)], ['slab', 'slabThickness', size(500)], ['draft', 'draft', { min: 0, max: 30, unit: '°' }], ['count', 'plugCount', { min: 1, max: 200, unit: 'count' }]],
  sand: [['length', 'leafLength', size()], ['width', 'leafWidth', size()], ['rise', 'leafRise', size(500, 0)], ['board', 'boardThickness', size(100, 0.2)]],
}; // prettier-ignore

/** Checks the sizes of what stands in a mould, and what goes together. */
export function checkInside(check: Checker, piece: InsidePiece): void {
  const values = new Map(Object.entries(piece));
  for (const [field, key, range] of sizes[piece.what]) {
    const value: unknown = values.get(field);
    if (value !== undefined || field !== 'width') check.number(`piece.${field}`, value as number, msg(`patterns.${key}`), range);
  }
  if (!check.clean) return;
  if (piece.what === 'mesh') {
    const { length, width = length, cover } = piece;
    check.expect(Math.min(length, width) > 2 * cover, 'piece.cover', cover, msg('patterns.coverTakesAll', { cover: exactly(cover, 'mm') }), msg('patterns.lessCover')); // prettier-ignore
  }
  if (piece.what === 'wire') check.expect(piece.pitch >= piece.wire, 'piece.pitch', piece.pitch, msg('patterns.turnsOverlap'), msg('patterns.morePitch', { wire: exactly(piece.wire, 'mm') })); // prettier-ignore
  if (piece.what === 'plug') check.expect(Number.isInteger(piece.count), 'piece.count', piece.count, msg('patterns.wholePlugs'), msg('patterns.enterWhole')); // prettier-ignore
  if (piece.what === 'core') check.expect(piece.card * 2 < Math.max(piece.bottom, piece.top), 'piece.card', piece.card, msg('patterns.cardTooThick'), msg('patterns.thinnerCard')); // prettier-ignore
} // prettier-ignore
