/** What is fitted to a piece before it goes out. */
export type Fitting = 'mesh' | 'feet' | 'lamp kit' | 'lid' | 'soil' | 'candle' | 'rods';

/** How a fitting is done, and what is ticked off for it. */
export interface FittingGuide {
  readonly name: string;
  readonly how: string;
  readonly checks: readonly string[];
  readonly caution?: string;
}

export const fittings: Record<Fitting, FittingGuide> = {
  mesh: { name: 'Mesh over the drain hole', how: 'A square of mesh or a shard, larger than the hole.', checks: [] },
  feet: {
    name: 'Feet or cork',
    how: 'Three, under the walls and not under the middle; air below keeps frost and rings away.',
    checks: [],
  },
  'lamp kit': {
    name: 'Lamp kit',
    how: 'A listed kit as it comes, not one of parts.',
    checks: [
      'The kit is listed, and whole: no joint of the cable lies within the casting',
      'The cord cannot be pulled: strain relief is tight',
      'The hole’s edge is smooth or has a bushing',
      'Metal that can be touched is earthed, or the kit is double insulated',
      'An LED within the kit’s rating; the shade stays cool after an hour',
      'It stands by itself, with the cord hanging down',
    ],
    caution: 'Mains work by or under a qualified person, and to the local code.',
  },
  lid: {
    name: 'Lid or roof',
    how: 'It turns freely and does not bind; a soft ring where it is to be tight.',
    checks: [],
  },
  soil: { name: 'Soil', how: 'To 20 mm below the rim. Leached first, where lime would hurt the plant.', checks: [] },
  candle: {
    name: 'Candle',
    how: 'To its fill line; a wick for its width.',
    checks: [
      'It stood full of water for a day on paper, and the paper stayed dry',
      'The label of its sealer allows the heat of a candle',
      'One was burnt to the end under watch',
    ],
    caution: 'Only vessels that were tested for it: porous ones leak and crack. Never left alone.',
  },
  rods: {
    name: 'Rods and wedges',
    how: 'Through the panels, wedged from above.',
    checks: ['Each course lies without rocking', 'Nothing that people lean on stands by wedges alone'],
    caution: 'Stacked beds, seats and walls: local codes, ties and a footing.',
  },
};

export const fittingsInOrder = Object.keys(fittings) as readonly Fitting[];
