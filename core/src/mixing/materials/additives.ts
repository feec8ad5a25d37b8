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
  readonly name: string;
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
  readonly beyond: string;
}

type Row = [name: string, base: DoseBase, low: number, usual: number, ceiling: number, beyond: string];

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

const thirsty = 'weaker and thirsty, and no deeper in colour';

/** The handbook's doses: lowest, usual and ceiling. */
export const additives: Record<AdditiveKind, Additive> = {
  'powder-pigment': share(['powder pigment', 'binder', 0.5, 3, 5, thirsty], { stop: PIGMENT_STOP }),
  'liquid-pigment': share(['liquid pigment', 'binder', 0.5, 3, 5, thirsty], { stop: PIGMENT_STOP, onSolids: true }),
  paint: share(['acrylic paint', 'binder', 1, 3, 5, 'it thickens at once and bonds poorly'], { stop: PIGMENT_STOP }),
  plasticiser: share(['plasticiser', 'cement', 0.2, 0.7, 1.5, 'sand and paste part, and it sets late']),
  'micro-fibre': perVolume(['micro fibre', 'volume', 0.6, 0.9, 1.8, 'it balls and leaves hair on the face']),
  'glass-fibre': perVolume(['glass fibre', 'volume', 0.6, 5, 20, 'too stiff to place']),
  polymer: share(['acrylic polymer', 'cement', 3, 7, 15, 'slow to set, and soft'], { onSolids: true }),
  glue: share(['white glue', 'cement', 0.5, 2, 4, 'it softens again in the wet: for indoor pieces only']),
  accelerator: share(['accelerator', 'cement', 0, 1, 2, 'it rusts wire and blotches colour']),
  chips: share(['terrazzo chips', 'volume', 4, 12, 30, 'weak, with open faces'], {
    measure: 'volume share',
    stop: 0.6,
  }),
};

/** Kinds that colour: their doses count together. */
export const colours: readonly AdditiveKind[] = ['powder-pigment', 'liquid-pigment', 'paint'];

/** What a dose is a share of, in words. */
export const baseInWords: Record<DoseBase, string> = {
  binder: 'of binder mass',
  cement: 'of cement mass',
  volume: 'of fresh volume',
};
