import { msg, type Message } from '@dewpot/core/units';
import type { PieceKind } from '@dewpot/core/moulds';
import type { CoatTool, Decoration, PieceUse, SealCheck } from '@dewpot/core/sealing';
import type { Fitting } from '@dewpot/core/care';
import type { CameLater, Gone } from '@dewpot/core/casts';

export const toolWords: Record<CoatTool, Message> = {
  brush: msg('ui.toolBrush'),
  cloth: msg('ui.toolCloth'),
  spray: msg('ui.toolSpray'),
  dip: msg('ui.toolDip'),
};
export const checkWords: Record<SealCheck, Message> = {
  bead: msg('ui.checkBead'),
  'standing water': msg('ui.checkWater'),
  look: msg('ui.checkLook'),
};
export const decorationWords: Record<Decoration, Message> = {
  paint: msg('ui.didPaint'),
  wash: msg('ui.didWash'),
  powder: msg('ui.didPowder'),
  foil: msg('ui.didFoil'),
  label: msg('ui.didLabel'),
  'dye bath': msg('ui.didDye'),
};
export const fittingWords: Record<Fitting, Message> = {
  mesh: msg('ui.fitMesh'),
  feet: msg('ui.fitFeet'),
  'lamp kit': msg('ui.fitLamp'),
  lid: msg('ui.fitLid'),
  soil: msg('ui.fitSoil'),
  candle: msg('ui.fitCandle'),
  rods: msg('ui.fitRods'),
};
export const goneWords: Record<Gone, Message> = {
  kept: msg('ui.goneKept'),
  given: msg('ui.goneGiven'),
  sold: msg('ui.goneSold'),
};
export const laterWords: Record<CameLater, Message> = {
  well: msg('ui.laterWell'),
  frost: msg('ui.laterFrost'),
  bloom: msg('ui.laterBloom'),
  crack: msg('ui.laterCrack'),
  'sealer let go': msg('ui.laterPeeled'),
  gone: msg('ui.laterGone'),
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
