import { pieceSize } from '../ui/piece';
import type { Group } from './reading';

/** A group placed on a line of its plank: x of its first piece's axis, px. */
export interface PlacedGroup {
  readonly group: Group;
  readonly x: number;
  /** Distance between the axes of its pieces, px. */
  readonly step: number;
  readonly width: number;
}

const GAP = 26;
const MARGIN = 22;
/** Share of a piece's width by which the next of its row stands to the side. */
const STAND = 0.46;
/** Room that a tag in words wants, px. */
const TAG = 92;

/** Places groups from the left, starting a new line of the plank where one is full. Pure. */
export function layoutPlank(groups: readonly Group[], width: number, scale: number): PlacedGroup[][] {
  const lines: PlacedGroup[][] = [];
  let line: PlacedGroup[] = [];
  let x = MARGIN;
  for (const group of groups) {
    const piece = pieceSize(group.casts[0]!.snapshot.shape, scale).width;
    const step = piece * STAND;
    const taken = piece + step * (group.casts.length - 1);
    const room = Math.max(taken, group.due ? TAG : 0);
    if (line.length > 0 && x + room > width - MARGIN) {
      lines.push(line);
      line = [];
      x = MARGIN;
    }
    line.push({ group, x: x + (room - taken) / 2 + piece / 2, step, width: taken });
    x += room + GAP;
  }
  if (line.length > 0) lines.push(line);
  return lines;
}

/** Pixels per mm at which the fullest planks fit the width, within what can still be told apart. */
export function shelfScale(groups: readonly Group[], width: number): number {
  for (let scale = 0.46; scale > 0.24; scale -= 0.02) {
    const byPlank = new Map<string, Group[]>();
    for (const group of groups) byPlank.set(group.plank, [...(byPlank.get(group.plank) ?? []), group]);
    if ([...byPlank.values()].every((some) => layoutPlank(some, width, scale).length <= 1)) return scale;
  }
  return 0.34;
}
