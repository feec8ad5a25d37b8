import { msg, type Message } from '../../foundation/units/index.js';
/** What an additive is, which says how it is dosed. */
export type AdditiveKind =
  | 'powder-pigment'
  | 'liquid-pigment'
  | 'paint'
  | 'plasticiser'
  | 'micro-fibre'
  | 'glass-fibre'
  | 'polymer'
  | 'glue'
  | 'accelerator'
  | 'chips';

/** What a dose is a share of. */
export type DoseBase = 'binder' | 'cement' | 'volume';

/** How a kind of additive is dosed: shares of a mass, kg/m³ of the fresh mix, or a share of its volume. */
export interface Additive {
  readonly name: Message;
  readonly base: DoseBase;
  readonly measure: 'share' | 'kg/m³' | 'volume share';
  /** A liquid's dose is said on its solids alone. */
  readonly onSolids: boolean;
  readonly low: number;
  readonly usual: number;
  /** From here on it is warned of. */
  readonly ceiling: number;
  /** Above this it is refused. */
  readonly stop: number;
  /** What becomes of a mix beyond the ceiling. */
  readonly beyond: Message;
}

type Row = [name: Message, base: DoseBase, low: number, usual: number, ceiling: number, beyond: Message];

const share = ([name, base, low, usual, ceiling, beyond]: Row, over: Partial<Additive> = {}): Additive => ({
  name,
  base,
  measure: 'share',
  onSolids: false,
  low: low / 100,
  usual: usual / 100,
  ceiling: ceiling / 100,
  stop: over.stop ?? (ceiling / 100) * MOST_OVER,
  beyond,
  ...over,
});
const perVolume = ([name, base, low, usual, ceiling, beyond]: Row): Additive => ({
  name,
  base,
  measure: 'kg/m³',
  onSolids: false,
  low,
  usual,
  ceiling,
  stop: ceiling * MOST_OVER,
  beyond,
});

/** Doses above so many times their ceiling are slips of the pen. */
const MOST_OVER = 5;
/** Pigment, all kinds together, is refused above this share of the binder (ASTM C979, EN 12878). */
export const PIGMENT_STOP = 0.1;
/** Pigment, all kinds together, costs strength above this share of the binder. */
export const PIGMENT_CEILING = 0.05;

const thirsty = msg('materials.thirstyNoDeeper');

/** The handbook's doses: lowest, usual and ceiling. */
export const additives: Record<AdditiveKind, Additive> = {
  'powder-pigment': share([msg('materials.powderPigment'), 'binder', 0.5, 3, 5, thirsty], { stop: PIGMENT_STOP }),
  'liquid-pigment': share([msg('materials.liquidPigment'), 'binder', 0.5, 3, 5, thirsty], {
    stop: PIGMENT_STOP,
    onSolids: true,
  }),
  paint: share([msg('materials.acrylicPaint'), 'binder', 1, 3, 5, msg('materials.paintThickens')], {
    stop: PIGMENT_STOP,
  }),
  plasticiser: share([msg('materials.plasticiser'), 'cement', 0.2, 0.7, 1.5, msg('materials.plasticiserParts')]),
  'micro-fibre': perVolume([msg('materials.microFibre'), 'volume', 0.6, 0.9, 1.8, msg('materials.fibreBalls')]),
  'glass-fibre': perVolume([msg('materials.glassFibre'), 'volume', 0.6, 5, 20, msg('materials.tooStiff')]),
  polymer: share([msg('materials.acrylicPolymer'), 'cement', 3, 7, 15, msg('materials.slowAndSoft')], {
    onSolids: true,
  }),
  glue: share([msg('materials.whiteGlue'), 'cement', 0.5, 2, 4, msg('materials.glueSoftens')]),
  accelerator: share([msg('materials.accelerator'), 'cement', 0, 1, 2, msg('materials.acceleratorRusts')]),
  chips: share([msg('materials.terrazzoChips'), 'volume', 4, 12, 30, msg('materials.weakOpen')], {
    measure: 'volume share',
    stop: 0.6,
  }),
};

/** Kinds that colour: their doses count together. */
export const colours: readonly AdditiveKind[] = ['powder-pigment', 'liquid-pigment', 'paint'];

/** What a dose is a share of, in words. */
export const baseInWords: Record<DoseBase, Message> = {
  binder: msg('materials.ofBinder'),
  cement: msg('materials.ofCement'),
  volume: msg('materials.ofVolume'),
};
