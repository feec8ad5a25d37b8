import { Checker, msg } from '../../foundation/units/index.js';
import { refuse, type Task } from '../meshes/index.js';
import { counterClockwise, outlineArea, outlineLength, simplified, type PlanPoint } from '../solids/index.js';
import { cardOf, cardUntrue, turnCard, type Corners } from './card.js';
import { homography, mapped } from './homography.js';
import type { PhotoPixels, PhotoPoint } from './pixels.js';
import { patchesOf } from './segments.js';

/** Sizes of the card that lies beside, mm. */
export interface TraceWish {
  readonly cardWidth: number;
  readonly cardHeight: number;
}

/** What was found on a photo, px. */
export interface PhotoTrace {
  readonly card: Corners;
  readonly outline: readonly PhotoPoint[];
}

/** What an outline on a photo measures. */
export interface TracedOutline {
  /** Its points, mm, counter-clockwise about its middle. */
  readonly outline: readonly PlanPoint[];
  /** mm² */
  readonly area: number;
  /** mm */
  readonly perimeter: number;
}

/** Least share of the picture that a card or a leaf takes. */
const LEAST = 0.002;
/** Worst fit at which four sides still make a card. */
const MISFIT = 0.12;
/** Points farther off than this share of the picture are kept in the outline that is shown. */
const DETAIL = 0.0012;

/**
 * Finds a card and what lies beside it on a plain ground, from above or aslant.
 * @throws InputError telling what was not found; Stopped
 */
export function tracePhoto(photo: PhotoPixels, { cardWidth, cardHeight }: TraceWish, task: Task = {}): PhotoTrace {
  const check = new Checker();
  const size = { min: 10, max: 1000, unit: 'mm' } as const;
  check.number('cardWidth', cardWidth, msg('photos.cardWidth'), size);
  check.number('cardHeight', cardHeight, msg('photos.cardHeight'), size);
  check.done();
  const { width, height } = photo;
  const patches = patchesOf(photo, width * height * LEAST, task).filter(({ touchesEdge }) => !touchesEdge);
  const cards = patches
    .flatMap((patch) => {
      const card = cardOf(patch.outline);
      if (!card || card.misfit >= MISFIT) return [];
      // What is measured may have four sides too: the card is the one whose sides are as long as a card's.
      return [{ patch, ...card, off: card.misfit + cardUntrue(card.corners, cardWidth, cardHeight, [width, height]) }];
    })
    .sort((a, b) => a.off - b.off);
  const card = cards[0];
  if (!card) throw refuse(msg('photos.noCard'), msg('photos.layCardFlat'), 'photo');
  const leaf = patches.find((patch) => patch !== card.patch);
  if (!leaf) throw refuse(msg('photos.nothingBesideCard'), msg('photos.keepLeafApart'), 'photo');
  return {
    card: turnCard(card.corners, cardWidth, cardHeight, [width, height]),
    outline: simplified(leaf.outline, Math.max(width, height) * DETAIL),
  };
}

/**
 * What an outline on a photo measures in the card's plane, its perspective taken out by the card's corners.
 * @throws InputError where the corners make no card or the outline encloses nothing.
 */
export function measureTrace({ card, outline }: PhotoTrace, { cardWidth, cardHeight }: TraceWish): TracedOutline {
  const flat = homography(card, [
    [0, 0],
    [cardWidth, 0],
    [cardWidth, cardHeight],
    [0, cardHeight],
  ]);
  if (!flat) throw refuse(msg('photos.cornersInLine'), msg('photos.dragCorners'), 'card');
  const points = outline.map((p) => mapped(flat, p)).map(([x, y]): PlanPoint => [x, -y]);
  if (points.length < 3 || points.some((p) => !p.every(Number.isFinite)))
    throw refuse(msg('photos.beyondHorizon'), msg('photos.fromHigher'), 'outline');
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [mx, my] = [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2];
  const centred = counterClockwise(points.map(([x, y]): PlanPoint => [round(x - mx), round(y - my)]));
  return { outline: centred, area: Math.abs(outlineArea(points)), perimeter: outlineLength(points) };
}

const round = (n: number) => Math.round(n * 100) / 100;
