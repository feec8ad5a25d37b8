import { defined } from '../../foundation/math/index.js';
import { rimOf } from '../../geometry/moulds/index.js';
import type { BandEdge, ColouringKind } from '../../mixing/tints/index.js';
import { layersOf } from './layers.js';
import type { PourItem } from './plan.js';

/** How a piece in tints is seen: colours (#rrggbb, dry) from the bottom up, `to` as share of its height. */
export interface FaceColouring {
  readonly kind: ColouringKind;
  readonly parts: readonly { readonly colour: string; readonly share: number; readonly to: number }[];
  readonly edge?: BandEdge;
  readonly seed?: number;
}

/** The face of a coloured piece; undefined for one in the mix's own colour. @throws InputError */
export function faceColouringOf(item: PourItem): FaceColouring | undefined {
  const { colouring } = item;
  if (!colouring) return undefined;
  const { kind, parts, edge, seed } = colouring;
  const rim = rimOf(item.shape);
  const tops = kind === 'banded' ? layersOf({ ...item, colouring }).map(({ to }) => to / rim) : parts.map(() => 1);
  return {
    kind,
    parts: parts.map(({ tint: { colour }, share }, i) => ({ colour, share, to: defined(tops[i]) })),
    ...(edge && { edge }),
    ...(seed !== undefined && { seed }),
  };
}

/** The one colour that stands for a face where there is room for one only: that of its largest part. */
export const mainColour = ({ parts }: FaceColouring): string =>
  parts.reduce((most, part) => (part.share > most.share ? part : most)).colour;
