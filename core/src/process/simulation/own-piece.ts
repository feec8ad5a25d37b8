import { faces, type MouldShape, type PieceKind } from '../../geometry/moulds/index.js';
import type { BinderClass } from '../../mixing/binders/index.js';
import { isLightweight, calculateMix, type Mix, type MixConditions } from '../../mixing/mixes/index.js';
import { handbookDemouldAge } from '../curing/index.js';
import { expectedOf, pieceVolume } from '../pours/index.js';
import type { SimulationPiece } from './simulate.js';

/** A mould and a mix of one's own, to be simulated. */
export interface OwnPiece {
  readonly name: string;
  readonly shape: MouldShape;
  readonly piece: PieceKind;
  readonly mix: Mix;
  readonly conditions: MixConditions;
  readonly binderClass: BinderClass;
}

/** What a mould and a mix make of a piece: its masses, all its faces, its strength, the handbook's demoulding. @throws InputError */
export function simulationPieceOf({ name, shape, piece, mix, conditions, binderClass }: OwnPiece): SimulationPiece {
  const { perPart, strength } = calculateMix(mix, conditions);
  const { dry, loss } = expectedOf(perPart, pieceVolume({ shape }));
  const { outer, inner, holes, base, open } = faces(shape);
  return {
    name,
    binderClass,
    lightweight: isLightweight(mix),
    dry,
    loss,
    area: outer + inner + holes + base + open,
    strength: strength.value,
    demouldAge: handbookDemouldAge(binderClass, piece, isLightweight(mix)),
  };
}
