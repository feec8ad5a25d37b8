import type { LengthWanted, LaidSheet, OutlineWanted, Sheet } from '../cutting/index.js';
import { laidOutline } from '../cutting/index.js';
import { defined } from '../../foundation/math/index.js';
import type { Drawing } from '../exports/index.js';
import { outlineBox, type PlanPoint } from '../solids/index.js';
import type { CutPart } from './cut-part.js';

/** Parts that are cut from the same: sticks or sheets of a thickness, or mesh. mm */
export interface CutGroup {
  readonly key: string;
  readonly from: 'stick' | 'sheet' | 'mesh';
  readonly thickness: number;
  /** Across the grain of the widest part. */
  readonly width: number;
  readonly parts: readonly CutPart[];
}

/** Of what a part is cut; undefined where it is cast, or comes as it is. */
function sourceOf({ stuff, grain }: CutPart, allFromSheets: boolean): CutGroup['from'] | undefined {
  if (stuff === 'panel' || stuff === 'rod' || stuff === 'wedge') return undefined;
  if (stuff === 'mesh') return 'mesh';
  return grain && !allFromSheets && (stuff === 'board' || stuff === 'strip') ? 'stick' : 'sheet';
}

/** Parts by what they are cut from: boards and strips whose grain runs along them from sticks, or from sheets too where that is wanted. */
export function cutGroups(parts: readonly CutPart[], allFromSheets = false): CutGroup[] {
  const groups = new Map<string, CutGroup>();
  for (const part of parts) {
    const from = sourceOf(part, allFromSheets);
    if (!from || part.count === 0) continue;
    const key = `${from} ${part.thickness}`;
    const before = groups.get(key);
    const width = Math.max(before?.width ?? 0, outlineBox(part.outline).height);
    groups.set(key, { key, from, thickness: part.thickness, width, parts: [...(before?.parts ?? []), part] });
  }
  return [...groups.values()];
}

/** The lengths that the parts of a group are cut to, to a tenth of a millimetre. */
export const lengthsOf = ({ parts }: CutGroup): LengthWanted[] =>
  parts.map(({ key, count, outline }) => ({ key, count, length: Math.round(outlineBox(outline).width * 10) / 10 }));

/** The outlines that the parts of a group are cut to. */
export const outlinesOf = ({ parts }: CutGroup): OutlineWanted[] =>
  parts.map(({ key, count, outline, grain }) => ({ key, count, outline, grain }));

/** Room between sheets in a drawing, and height of letters, mm. */
const APART = 60;
const LETTER = 12;

/** Laid sheets one above the other as a drawing, on layers: their edges, what is cut, what each part is. The first lies on top. */
export function sheetsDrawing(laid: readonly LaidSheet[], wanted: readonly OutlineWanted[], sheets: readonly Sheet[]): Drawing {
  const outlines = new Map(wanted.map(({ key, outline }) => [key, outline]));
  let bottom = 0;
  const drawn = laid.map(({ sheet, placed }) => {
    const { length, width } = defined(sheets.find(({ key }) => key === sheet));
    bottom -= width + APART;
    const lifted = ([x, y]: PlanPoint): PlanPoint => [x, y + bottom];
    const edge = ([[0, 0], [length, 0], [length, width], [0, width]] as const).map(lifted);
    return { edge, parts: placed.map((one) => ({ key: one.key, outline: laidOutline(defined(outlines.get(one.key)), one).map(lifted) })) };
  });
  const middle = (outline: readonly PlanPoint[]): PlanPoint => {
    const { x0, y0, width, height } = outlineBox(outline);
    return [x0 + width / 2, y0 + height / 2];
  };
  const parts = drawn.flatMap((one) => one.parts);
  return {
    layers: [
      { name: 'sheet', outlines: drawn.map(({ edge }) => edge) },
      { name: 'cut', outlines: parts.map(({ outline }) => outline) },
      { name: 'text', outlines: [], texts: parts.map(({ key, outline }) => ({ at: middle(outline), height: LETTER, text: key })) },
    ],
  };
} // prettier-ignore
