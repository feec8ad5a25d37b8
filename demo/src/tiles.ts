import type { TileInput } from '@dewpot/contract';

/** A trial tile of the demo: of which mix, and how long ago it was looked at. */
export interface DemoTile extends Omit<TileInput, 'mixId' | 'at'> {
  readonly mix: number;
  readonly daysAgo: number;
}

/** Tiles that Maud and Osric sealed before they chose what goes on their pots and dishes. */
export const tiles: readonly DemoTile[] = [
  {
    mix: 0,
    daysAgo: 41,
    sealer: 'acrylic',
    tool: 'brush',
    coats: 2,
    sheen: 'gloss',
    streaks: 'plain',
    smells: false,
    bead: 'stands',
    stain: 'wipes off',
    liked: false,
    note: 'demo.brushMarks',
  },
  {
    mix: 0,
    daysAgo: 34,
    sealer: 'penetrating',
    tool: 'brush',
    coats: 2,
    sheen: 'matt',
    streaks: 'none',
    smells: false,
    bead: 'stands',
    stain: 'wipes off',
    liked: true,
    note: 'demo.hardlyTold',
  },
  {
    mix: 1,
    daysAgo: 20,
    sealer: 'wax',
    tool: 'cloth',
    coats: 1,
    sheen: 'satin',
    streaks: 'none',
    smells: true,
    bead: 'spreads',
    stain: 'leaves a shadow',
    liked: true,
    note: 'demo.smellsOfTurpentine',
  },
];
