import { taskWords } from '@dewpot/core/casts';
import { defined } from '@dewpot/core/math';
import { lookToday, type Today } from '../ui/casts/look-today';
import { wholeSize } from '../ui/whole-piece';
import type { Group } from './reading';
import type { Speaker } from '@dewpot/locales';

/** A group with its colours of today. */
export interface DrawnGroup extends Group {
  readonly look: Today;
}

/** Gives each group the colours of its casts at a time, ms. */
export const inColours = (groups: readonly Group[], now: number): DrawnGroup[] =>
  groups.map((group) => ({ ...group, look: lookToday(defined(group.casts[0]), now) }));

/** A group placed on a line of its plank: x of its first piece's axis, px. */
export interface PlacedGroup {
  readonly group: DrawnGroup;
  readonly x: number;
  /** Distance between the axes of its pieces, px. */
  readonly step: number;
  readonly width: number;
}

/** Room on the screen for the planks, px. */
export interface ShelfRoom {
  readonly width: number;
  readonly height: number;
}

export const BOARD = 15;
export const FRONT = 19;
const GAP = 26;
const MARGIN = 22;
/** Width from which the planks' names stand in a gutter at their left; below it they stand above. */
const WIDE = 600;
const GUTTER = 132;
const NAME_ABOVE = 22;
const OVERHEAD = 13;
const BELOW = 13;
const LOWEST = 34;
/** Share of a piece's width by which the next of its row stands to the side. */
const STAND = 0.46;
/** A tag is as wide as its words, px, and no narrower than a finger needs. */
const TAG = { least: 86, letter: 8, edge: 16, apart: 6 };

/** Width of a tag with these words, px. */
export const tagWidth = (words: string): number => Math.max(TAG.least, words.length * TAG.letter + TAG.edge);

const roomForTag = ({ due, window }: Group, say: Speaker) =>
  due && window ? tagWidth(say(taskWords[window.task])) + TAG.apart : 0;

/** Whether names stand in the gutter. */
export const hasGutter = (width: number) => width >= WIDE;

/** Size of one piece of a group, px. */
export const sizeOf = ({ casts, look }: DrawnGroup, scale: number) =>
  wholeSize({ shape: defined(casts[0]).snapshot.shape, parts: look.parts }, scale);

/** Places groups from the left, starting a new line of the plank where one is full. Pure. */
export function layoutPlank(
  groups: readonly DrawnGroup[],
  width: number,
  scale: number,
  say: Speaker,
): PlacedGroup[][] {
  const left = hasGutter(width) ? GUTTER : MARGIN;
  const lines: PlacedGroup[][] = [];
  let line: PlacedGroup[] = [];
  let x = left;
  for (const group of groups) {
    const piece = sizeOf(group, scale).width;
    const step = piece * STAND;
    const taken = piece + step * (group.casts.length - 1);
    const room = Math.max(taken, roomForTag(group, say));
    if (line.length > 0 && x + room > width - MARGIN) {
      lines.push(line);
      line = [];
      x = left;
    }
    line.push({ group, x: x + (room - taken) / 2 + piece / 2, step, width: taken });
    x += room + GAP;
  }
  if (line.length > 0) lines.push(line);
  return lines;
}

/** Height of a line of a plank and of the board's top in it, px. */
export function lineHeight(line: readonly PlacedGroup[], width: number, scale: number, named: boolean) {
  const tallest = Math.max(LOWEST, ...line.map(({ group }) => sizeOf(group, scale).height));
  const ground = tallest + OVERHEAD + (named && !hasGutter(width) ? NAME_ABOVE : 0);
  return { ground, height: ground + BOARD + FRONT + BELOW };
}

/** Pixels per mm at which a shelf may be drawn where all of it fits, from the least. */
const SCALES = Array.from({ length: 13 }, (_, i) => 0.24 + i * 0.02);

/** Largest pixels per mm at which each plank keeps to one line and all fit the room; the least that can be told apart where none does. */
export function shelfScale(planks: readonly (readonly DrawnGroup[])[], room: ShelfRoom, say: Speaker): number {
  const fits = (scale: number) => {
    const laid = planks.map((groups) => layoutPlank(groups, room.width, scale, say));
    const height = laid.reduce((sum, [line = []]) => sum + lineHeight(line, room.width, scale, true).height, 0);
    return laid.every((lines) => lines.length <= 1) && height <= room.height;
  };
  // What fits at one scale fits at each smaller one, so that few have to be tried: on a phone, where none does, one.
  let [fitting, tooLarge] = [-1, SCALES.length];
  for (let tried = 0; tried < tooLarge; tried = Math.ceil((fitting + tooLarge) / 2)) {
    if (fits(defined(SCALES[tried]))) fitting = tried;
    else tooLarge = tried;
    if (tooLarge - fitting <= 1) break;
  }
  return SCALES[fitting] ?? (hasGutter(room.width) ? 0.34 : 0.3);
}
