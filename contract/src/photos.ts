/** Sizes in which a photo is kept: to find it among others, to look at it, and to look into it. */
export const photoSizes = ['small', 'medium', 'large'] as const;
export type PhotoSize = (typeof photoSizes)[number];

/** What the photos of a workshop take. */
export interface PhotoRoom {
  /** How many are kept, each once. */
  readonly photos: number;
  /** What their sizes take together, bytes. */
  readonly bytes: number;
  /** What they may take, bytes. */
  readonly most: number;
}
