import { fiveBands, marbled, mossAlone, type DemoColouring } from './tints.js';

/** A pour of the season: how many days ago, which mix, which moulds and how many of each. */
export interface DemoPour {
  readonly daysAgo: number;
  readonly mix: number;
  readonly items: readonly (readonly [mould: number, count: number])[];
  readonly place: string;
  readonly cover: string;
  /** Left bare until someone seals it today. */
  readonly bare: boolean;
  readonly colouring?: DemoColouring;
  /** Lines of the demo's orders, by their place, that its items are poured for. */
  readonly lines?: readonly (number | undefined)[];
  /** Its small pots are in the trial of tapping. */
  readonly trial?: boolean;
}

const pour = (
  daysAgo: number,
  mix: number,
  items: DemoPour['items'],
  place = 'demo.bench',
  cover = 'film',
  bare = false,
  colouring?: DemoColouring,
  lines?: DemoPour['lines'],
): DemoPour => ({ daysAgo, mix, items, place, cover, bare, ...(colouring && { colouring }), ...(lines && { lines }) });

/** The season, oldest first: herb pots in spring, a wet June under cloth, a hot spell, then autumn. */
export const season: readonly DemoPour[] = [
  pour(171, 0, [[0, 3]], 'demo.bench', 'film'),
  pour(164, 1, [[2, 4]], 'demo.bench', 'film'),
  pour(156, 0, [[0, 3]], 'demo.bench', 'damp cloth'),
  pour(149, 4, [[6, 3]], 'demo.yard', 'damp cloth'),
  pour(140, 3, [[1, 2]], 'demo.bench', 'film'),
  pour(131, 1, [[9, 4]], 'demo.sill', 'none'),
  pour(122, 0, [[0, 4]], 'demo.yard', 'none'),
  pour(112, 5, [[4, 1]], 'demo.sill', 'none'),
  pour(
    101,
    2,
    [
      [1, 2],
      [2, 3],
    ],
    'demo.bench',
    'bag',
  ),
  pour(90, 4, [[6, 3]], 'demo.yard', 'film'),
  pour(80, 1, [[5, 2]], 'demo.bench', 'bag'),
  pour(71, 3, [[0, 3]], 'demo.bench', 'bag'),
  pour(62, 2, [[3, 2]], 'demo.bench', 'bag'),
  pour(
    54,
    0,
    [
      [1, 2],
      [9, 3],
    ],
    'demo.sill',
    'bag',
  ),
  pour(48, 1, [[5, 2]], 'demo.bench', 'bag'),
  pour(44, 3, [[0, 3]], 'demo.bench', 'bag'),
  { ...pour(41, 2, [[2, 5]], 'demo.sill', 'bag'), trial: true },
  pour(37, 0, [[1, 2]], 'demo.bench', 'bag'),
  pour(
    34,
    1,
    [
      [8, 2],
      [9, 3],
    ],
    'demo.sill',
    'bag',
  ),
  pour(30, 4, [[6, 3]], 'demo.yard', 'film'),
  pour(27, 2, [[3, 2]], 'demo.bench', 'bag', true),
  pour(24, 5, [[4, 1]], 'demo.yard', 'bag'),
  pour(21, 3, [[0, 4]], 'demo.bench', 'bag', false, undefined, [0]),
  pour(19, 0, [[10, 4]], 'demo.yard', 'film'),
  {
    ...pour(
      17,
      1,
      [
        [5, 1],
        [2, 4],
      ],
      'demo.sill',
      'bag',
      false,
      mossAlone,
    ),
    trial: true,
  },
  pour(13, 4, [[12, 1]], 'demo.yard', 'film'),
  pour(10, 0, [[7, 1]], 'demo.yard', 'film'),
  pour(8, 1, [[11, 2]], 'demo.sill', 'bag', false, marbled),
  pour(6, 1, [[0, 3]], 'demo.bench', 'film', false, fiveBands),
  pour(3.9, 1, [[8, 2]], 'demo.sill', 'bag'),
  {
    ...pour(
      2.2,
      3,
      [
        [1, 2],
        [2, 3],
      ],
      'demo.bench',
      'film',
      false,
      undefined,
      [undefined, 1],
    ),
    trial: true,
  },
  pour(0.7, 4, [[6, 3]], 'demo.yard', 'film', false, undefined, [3]),
  pour(
    0.25,
    0,
    [
      [3, 2],
      [9, 2],
    ],
    'demo.bench',
    'film',
  ),
];
