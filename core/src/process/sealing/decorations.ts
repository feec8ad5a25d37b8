/** What a piece is decorated with. */
export type Decoration = 'paint' | 'wash' | 'powder' | 'foil' | 'label' | 'dye bath';

/** Where a decoration stands towards the sealer. */
type DecorationOrder = 'under' | 'over' | 'either';

export interface DecorationGuide {
  readonly name: string;
  readonly order: DecorationOrder;
  /** Hours until the next thing goes on it, at 20 °C. */
  readonly dries: number;
  /** Wants a piece dry enough to seal; a dye bath goes on a bare cured one, damp or dry. */
  readonly dry: boolean;
  readonly how: string;
  /** It makes the piece wet again: its dry-down begins again. */
  readonly wets: boolean;
}

/** How each is done, and when. Ordinary trade figures; a product's own sheet wins. */
export const decorations: Record<Decoration, DecorationGuide> = {
  paint: {
    name: 'Paint',
    order: 'under',
    dries: 24,
    dry: true,
    wets: false,
    how: 'Thin coats on the dry piece, sealed over. On damp concrete it peels, and lime turns some colours.',
  },
  wash: {
    name: 'Wash',
    order: 'under',
    dries: 6,
    dry: true,
    wets: false,
    how: 'Paint let down with water, wiped back so that it stays in the hollows; then sealed.',
  },
  powder: {
    name: 'Rubbed powder',
    order: 'under',
    dries: 1,
    dry: true,
    wets: false,
    how: 'Rubbed on with a soft brush or a finger; mask on. Seal it by spray: a brush lifts it.',
  },
  foil: {
    name: 'Foil',
    order: 'under',
    dries: 12,
    dry: true,
    wets: false,
    how: 'On size that has turned tacky, on the cured face; pressed down, brushed off, then sealed. Laid in the mould it is lost.',
  },
  label: {
    name: 'Label',
    order: 'over',
    dries: 1,
    dry: true,
    wets: false,
    how: 'On the sealed foot: on a bare one it lets go.',
  },
  'dye bath': {
    name: 'Dye bath',
    order: 'under',
    dries: 24,
    dry: false,
    wets: true,
    how: 'On a cured, bare piece: a sealer keeps it out. Gloves. It is wet again afterwards: weigh it down again.',
  },
};

export const decorationsInOrder = Object.keys(decorations) as readonly Decoration[];

/** A piece about to be decorated. */
export interface DecorationAsked {
  readonly decoration: Decoration;
  readonly at: number;
  readonly dryEnough: boolean;
  readonly sealed: boolean;
  /** What was put on it last dries until then, ms. */
  readonly dryAt?: number;
}

/** What speaks against a decoration now, in sentences; empty where nothing does. */
export function againstDecoration({ decoration, at, dryEnough, sealed, dryAt }: DecorationAsked): string[] {
  const { name, order, dry } = decorations[decoration];
  return [
    ...(dry && !dryEnough && !sealed ? [`It is not dry enough: ${name.toLowerCase()} on a damp piece lets go.`] : []),
    ...(order === 'under' && sealed
      ? [`It is sealed already: ${name.toLowerCase()} goes under the sealer and will not hold on it.`]
      : []),
    ...(order === 'over' && !sealed ? [`${name} goes on over the sealer: seal it first.`] : []),
    ...(dryAt !== undefined && at < dryAt
      ? [`What was put on it last wants another ${Math.ceil((dryAt - at) / 3_600_000)} h to dry.`]
      : []),
  ];
}
