import type { PieceKind } from '@dewpot/core/moulds';
import type { CoatTool, Decoration, PieceUse, SealCheck } from '@dewpot/core/sealing';
import type { Fitting } from '@dewpot/core/care';
import type { CameLater, Gone } from '@dewpot/core/casts';

export const toolWords: Record<CoatTool, string> = { brush: 'Brush', cloth: 'Cloth', spray: 'Spray', dip: 'Dip' };
export const checkWords: Record<SealCheck, string> = {
  bead: 'the water bead',
  'standing water': 'standing water',
  look: 'the look of it',
};
export const decorationWords: Record<Decoration, string> = {
  paint: 'Painted',
  wash: 'Washed with colour',
  powder: 'Rubbed with powder',
  foil: 'Foil laid on',
  label: 'Labelled',
  'dye bath': 'Dyed in a bath',
};
export const fittingWords: Record<Fitting, string> = {
  mesh: 'Mesh laid over the hole',
  feet: 'Feet set',
  'lamp kit': 'Lamp kit fitted',
  lid: 'Lid fitted',
  soil: 'Planted',
  candle: 'Candle poured',
  rods: 'Rods and wedges set',
};
export const goneWords: Record<Gone, string> = { kept: 'kept', given: 'given', sold: 'sold' };
export const laterWords: Record<CameLater, string> = {
  well: 'As it was',
  frost: 'Frost flaked it',
  bloom: 'White bloom',
  crack: 'It cracked',
  'sealer let go': 'The sealer peeled',
  gone: 'Destroyed',
};

/** What a kind of piece is for as a rule, until its caster says. */
const usual: Partial<Record<PieceKind, readonly PieceUse[]>> = {
  'small-pot': ['indoors'],
  pot: ['plants', 'outdoors'],
  'hypertufa-pot': ['bare plants', 'outdoors'],
  trough: ['plants', 'outdoors', 'frost'],
  slab: ['outdoors', 'frost'],
  lamp: ['indoors'],
  dish: ['indoors'],
  leaf: ['outdoors'],
  panel: ['outdoors', 'frost'],
};
export const usualUses = (piece: PieceKind): readonly PieceUse[] => usual[piece] ?? ['indoors'];
