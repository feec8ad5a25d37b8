import { msg, exactly, type Message } from '../../foundation/units/index.js';
/** What a piece is decorated with. */
export type Decoration = 'paint' | 'wash' | 'powder' | 'foil' | 'label' | 'dye bath';

/** Where a decoration stands towards the sealer. */
type DecorationOrder = 'under' | 'over' | 'either';

export interface DecorationGuide {
  readonly name: Message;
  readonly order: DecorationOrder;
  /** Hours until the next thing goes on it, at 20 °C. */
  readonly dries: number;
  /** Wants a piece dry enough to seal; a dye bath goes on a bare cured one, damp or dry. */
  readonly dry: boolean;
  readonly how: Message;
  /** It makes the piece wet again: its dry-down begins again. */
  readonly wets: boolean;
}

/** How each is done, and when. Ordinary trade figures; a product's own sheet wins. */
export const decorations: Record<Decoration, DecorationGuide> = {
  paint: {
    name: msg('sealing.paint'),
    order: 'under',
    dries: 24,
    dry: true,
    wets: false,
    how: msg('sealing.paintHow'),
  },
  wash: {
    name: msg('sealing.wash'),
    order: 'under',
    dries: 6,
    dry: true,
    wets: false,
    how: msg('sealing.washHow'),
  },
  powder: {
    name: msg('sealing.rubbed'),
    order: 'under',
    dries: 1,
    dry: true,
    wets: false,
    how: msg('sealing.rubbedHow'),
  },
  foil: {
    name: msg('sealing.foil'),
    order: 'under',
    dries: 12,
    dry: true,
    wets: false,
    how: msg('sealing.foilHow'),
  },
  label: {
    name: msg('sealing.label'),
    order: 'over',
    dries: 1,
    dry: true,
    wets: false,
    how: msg('sealing.labelHow'),
  },
  'dye bath': {
    name: msg('sealing.dye'),
    order: 'under',
    dries: 24,
    dry: false,
    wets: true,
    how: msg('sealing.dyeHow'),
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
export function againstDecoration({ decoration, at, dryEnough, sealed, dryAt }: DecorationAsked): Message[] {
  const { name, order, dry } = decorations[decoration];
  return [
    ...(dry && !dryEnough && !sealed ? [msg('sealing.notDryForIt', { name })] : []),
    ...(order === 'under' && sealed ? [msg('sealing.sealedAlready', { name })] : []),
    ...(order === 'over' && !sealed ? [msg('sealing.sealFirst', { name })] : []),
    ...(dryAt !== undefined && at < dryAt
      ? [msg('sealing.lastNotDry', { dryAt: exactly(Math.ceil((dryAt - at) / 3_600_000), 'h') })]
      : []),
  ];
}
