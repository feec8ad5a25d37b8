import { msg, type Message, quantity, fixed, type Phrase } from '../../foundation/units/index.js';
import type { SealerKind } from '../../mixing/materials/index.js';
import type { Exposure } from '../../mixing/mixes/index.js';
import { resealMonths, type PieceUse } from '../../process/sealing/index.js';

/** What is known of a piece that is finished. */
export interface CareFacts {
  readonly name: string;
  readonly code: string;
  readonly mixName: string;
  readonly sealer?: { readonly kind: SealerKind; readonly name: Phrase; readonly coats: number };
  readonly uses: readonly PieceUse[];
  /** Where its mix was made for. */
  readonly exposure?: Exposure;
  readonly lightweight: boolean;
  readonly gypsum: boolean;
  /** It has a lamp in it. */
  readonly lamp: boolean;
  /** When it was cast, ms, and what it weighs by itself and with soil in it, g. */
  readonly castAt?: number;
  readonly weight?: number;
  readonly planted?: number;
  /** The last pH that its water was found to have. */
  readonly ph?: number;
}

/** What its keeper should know. */
export interface CareNote {
  readonly title: string;
  readonly made: readonly Message[];
  readonly care: readonly Message[];
  readonly cautions: readonly Message[];
}

const renew: Record<SealerKind, Message> = {
  penetrating: msg('care.renewPenetrating'),
  acrylic: msg('care.renewFilm'),
  polyurethane: msg('care.renewFilm'),
  wax: msg('care.renewWax'),
  oil: msg('care.renewOil'),
};

const everyTime = [msg('care.careWash'), msg('care.careLift')];

const outdoorUses: readonly PieceUse[] = ['outdoors', 'frost', 'plants', 'bare plants'];

/** Where it lives: by what it was sealed for, else by what its mix was made for. */
function outdoorCare({ uses, exposure }: CareFacts): Message[] {
  if (uses.length === 0 && exposure === undefined) return [msg('care.careUnknown')];
  const outdoors = uses.length > 0 ? uses.some((use) => outdoorUses.includes(use)) : exposure !== 'indoors';
  if (!outdoors) return [msg('care.careDryRoom')];
  return [
    uses.includes('frost') || exposure === 'frost' ? msg('care.careWinter') : msg('care.careBringIn'),
    msg('care.careEfflorescence'),
  ];
}

const weightTold = (weight: number, planted: number | undefined): Message =>
  planted === undefined
    ? msg('care.weighsAbout', { weight: quantity(weight, 'g') })
    : msg('care.weighsPlanted', { weight: quantity(weight, 'g'), planted: quantity(planted, 'g') });

/** How often its sealer is tried, and what is done where water soaks in. */
function inspection(kind: SealerKind, uses: readonly PieceUse[]): Message {
  const months = resealMonths(kind, uses);
  return msg('care.inspect', { years: months < 12 ? 0 : Math.round(months / 12), months, renew: renew[kind] });
}

/** A care note: what the piece is made of and how to look after it, for someone who knows nothing of casting. */
export function careNote(facts: CareFacts): CareNote {
  const { name, code, mixName, sealer, uses, lightweight, gypsum, lamp, castAt, weight, planted, ph } = facts;
  return {
    title: name,
    made: [
      msg('care.madeByHand', {
        dated: castAt === undefined ? 'no' : 'yes',
        cast: { at: castAt ?? 0, as: 'month' },
        code,
      }),
      msg(gypsum ? 'care.madeGypsum' : lightweight ? 'care.madeLight' : 'care.madeConcrete', { mixName }),
      sealer ? msg('care.sealedWith', { sealer: sealer.name, coats: sealer.coats }) : msg('care.leftBare'),
      ...(weight === undefined ? [] : [weightTold(weight, planted)]),
    ],
    care: [
      ...everyTime,
      ...(gypsum ? [msg('care.keepDry')] : outdoorCare(facts)),
      ...(sealer ? [inspection(sealer.kind, uses)] : []),
      ...(uses.includes('plants') || uses.includes('bare plants') ? [msg('care.waterPlants')] : []),
    ],
    cautions: [
      ...(uses.includes('food') ? [msg('care.dryFoodOnly')] : [msg('care.notForFood')]),
      ...(uses.includes('candle') ? [msg('care.candleAlone')] : []),
      ...(lamp ? [msg('care.ledOnly')] : []),
      ...(uses.includes('animals') || uses.includes('water')
        ? [ph === undefined ? msg('care.changeWater') : msg('care.lastPh', { ph: fixed(ph, 1) })]
        : []),
    ],
  };
}
