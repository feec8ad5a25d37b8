import type { ColouringKind } from '@dewpot/core/tints';

/** A tint or chip of the demo workshop: materials by their handbook keys, shares of the binder. */
export interface DemoTint {
  readonly name: string;
  readonly on: readonly [binder: string, sand: string];
  readonly doses: readonly (readonly [pigment: string, amount: number])[];
  readonly note?: string;
}

const chalk = ['white-cement', 'fine-sand'] as const;

export const tints: readonly DemoTint[] = [
  {
    name: 'demo.oldBrick',
    on: chalk,
    doses: [
      ['red-oxide', 0.016],
      ['yellow-oxide', 0.01],
    ],
    note: 'demo.oldBrickNote',
  },
  { name: 'demo.straw', on: chalk, doses: [['yellow-oxide', 0.008]] },
  {
    name: 'demo.moss',
    on: chalk,
    doses: [
      ['chromium-green', 0.02],
      ['yellow-oxide', 0.006],
    ],
  },
  { name: 'demo.bone', on: chalk, doses: [['titanium-white', 0.03]] },
  { name: 'demo.peatWater', on: chalk, doses: [['brown-oxide', 0.025]] },
  { name: 'demo.towpathSlate', on: ['grey-cement', 'fine-sand'], doses: [['carbon-black', 0.008]] },
  { name: 'demo.delphinium', on: chalk, doses: [['ultramarine', 0.03]], note: 'demo.delphiniumNote' },
];

/** A test chip: cast so many days ago, or only planned; measured by the reader where it has dried. */
export interface DemoChip {
  readonly on: DemoTint['on'];
  readonly doses: DemoTint['doses'];
  readonly name: string;
  readonly daysAgo?: number;
  readonly measured: boolean;
}

const chip = (name: string, doses: DemoTint['doses'], daysAgo?: number, measured = true): DemoChip => ({
  name,
  on: chalk,
  doses,
  measured: measured && daysAgo !== undefined,
  ...(daysAgo !== undefined && { daysAgo }),
});

export const chips: readonly DemoChip[] = [
  chip('demo.chalkBare', [], 96),
  chip('demo.redHalf', [['red-oxide', 0.005]], 95),
  chip('demo.redTwo', [['red-oxide', 0.02]], 95),
  chip('demo.redFour', [['red-oxide', 0.04]], 95),
  chip('demo.yellowOne', [['yellow-oxide', 0.01]], 61),
  chip('demo.yellowThree', [['yellow-oxide', 0.03]], 61),
  chip('demo.blackOne', [['carbon-black', 0.01]], 33),
  chip('demo.brownTwo', [['brown-oxide', 0.02]], 0.4, false),
  chip('demo.greenTwo', [['chromium-green', 0.02]]),
];

/** How the pieces of a demo pour are coloured, tints by their place in the list above. */
export interface DemoColouring {
  readonly kind: ColouringKind;
  readonly parts: readonly (readonly [tint: number, share: number])[];
  readonly by?: 'height' | 'volume';
  readonly edge?: 'crisp' | 'blended';
  readonly seed?: number;
}

export const fiveBands: DemoColouring = {
  kind: 'banded',
  by: 'height',
  edge: 'crisp',
  parts: [
    [4, 0.3],
    [0, 0.25],
    [1, 0.2],
    [3, 0.15],
    [2, 0.1],
  ],
};
export const marbled: DemoColouring = {
  kind: 'marbled',
  seed: 7,
  parts: [
    [3, 0.65],
    [4, 0.35],
  ],
};
export const mossAlone: DemoColouring = { kind: 'solid', parts: [[2, 1]] };
