import { handbookLiftOut, type SettingClass } from '../cure/index.js';
import { isLightweight, reckonMix, type Mix, type MixConditions } from '../mixes/index.js';
import { faces, type MouldShape, type PieceKind } from '../moulds/index.js';
import { expectedOf, pieceVolume } from '../pours/index.js';
import type { RehearsalPiece } from './rehearse.js';

/** A mould and a mix of one's own, to be rehearsed. */
export interface OwnPiece {
  readonly name: string;
  readonly shape: MouldShape;
  readonly piece: PieceKind;
  readonly mix: Mix;
  readonly conditions: MixConditions;
  readonly setting: SettingClass;
}

/** What a mould and a mix make of a piece: its masses, all its faces, its strength, the handbook's lift-out. @throws InputError */
export function rehearsalPieceOf({ name, shape, piece, mix, conditions, setting }: OwnPiece): RehearsalPiece {
  const { perPart, strength } = reckonMix(mix, conditions);
  const { dry, loss } = expectedOf(perPart, pieceVolume({ shape }));
  const { outer, inner, holes, base, open } = faces(shape);
  return {
    name,
    setting,
    lightweight: isLightweight(mix),
    dry,
    loss,
    area: outer + inner + holes + base + open,
    strength: strength.value,
    liftOutAge: handbookLiftOut(setting, piece, isLightweight(mix)),
  };
}
