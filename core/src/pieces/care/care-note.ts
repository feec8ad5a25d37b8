import type { SealerKind } from '../../mixing/materials/index.js';
import type { Exposure } from '../../mixing/mixes/index.js';
import { resealMonths, type PieceUse } from '../../process/sealing/index.js';

/** What is known of a piece that is finished. */
export interface CareFacts {
  readonly name: string;
  readonly code: string;
  readonly mixName: string;
  readonly sealer?: { readonly kind: SealerKind; readonly name: string; readonly coats: number };
  readonly uses: readonly PieceUse[];
  /** Where its mix was made for. */
  readonly exposure?: Exposure;
  readonly lightweight: boolean;
  readonly gypsum: boolean;
  /** It has a lamp in it. */
  readonly lamp: boolean;
  /** When it was cast and what it weighs, as its caster says such things: "October 2026", "4.2 kg". */
  readonly cast?: string;
  readonly weight?: string;
  readonly planted?: string;
  /** The last pH that its water was found to have. */
  readonly ph?: number;
}

/** What its keeper should know. */
export interface CareNote {
  readonly title: string;
  readonly made: readonly string[];
  readonly care: readonly string[];
  readonly cautions: readonly string[];
}

const renew: Record<SealerKind, string> = {
  penetrating: 'put it on again, when it is dry, where a drop of water soaks in',
  acrylic: 'rub it dull and put on a thin coat where it is worn',
  polyurethane: 'rub it dull and put on a thin coat where it is worn',
  wax: 'wax it thinly and rub it up',
  oil: 'oil it thinly and wipe it off',
};

const everyTime = [
  'Wash it with water and a soft cloth; no vinegar, no lemon, no bleach: acid eats cement.',
  'Lift it by its foot, not by its rim.',
];

const outdoorUses: readonly PieceUse[] = ['outdoors', 'frost', 'plants', 'bare plants'];

/** Where it lives: by what it was sealed for, else by what its mix was made for. */
function outdoorCare({ uses, exposure }: CareFacts): string[] {
  if (uses.length === 0 && exposure === undefined)
    return ['Whether it may stand in the wet and in frost was not written down: ask its maker first.'];
  const outdoors = uses.length > 0 ? uses.some((use) => outdoorUses.includes(use)) : exposure !== 'indoors';
  if (!outdoors) return ['It is made for a dry room.'];
  return [
    uses.includes('frost') || exposure === 'frost'
      ? 'In winter stand it on feet, and let no water freeze in it.'
      : 'Bring it in before the first frost: it is not made for it.',
    'The white deposit is efflorescence, not mildew. Brush it off dry; it stops eventually.',
  ];
}

/** A care note: what the piece is made of and how to look after it, for someone who knows nothing of casting. */
export function careNote(facts: CareFacts): CareNote {
  const { name, code, mixName, sealer, uses, lightweight, gypsum, lamp, cast, weight, planted, ph } = facts;
  const months = sealer && resealMonths(sealer.kind, uses);
  const often =
    months === undefined
      ? ''
      : months >= 24
        ? `every ${Math.round(months / 12)} years`
        : months >= 12
          ? 'once a year'
          : `every ${months} months`;
  return {
    title: name,
    made: [
      `Cast by hand${cast ? ` in ${cast}` : ''}; number ${code}.`,
      gypsum ? `Gypsum (${mixName}).` : `${lightweight ? 'Lightweight concrete' : 'Concrete'} (${mixName}).`,
      sealer
        ? `Sealed with ${sealer.name.toLowerCase()}, ${sealer.coats} ${sealer.coats === 1 ? 'coat' : 'coats'}.`
        : 'Left bare.',
      ...(weight ? [`It weighs about ${weight}${planted ? `, planted about ${planted}` : ''}.`] : []),
    ],
    care: [
      ...everyTime,
      ...(gypsum ? ['Keep it dry: gypsum softens in water.'] : outdoorCare(facts)),
      ...(sealer ? [`Look at it ${often} with a drop of water: ${renew[sealer.kind]}.`] : []),
      ...(uses.includes('plants') || uses.includes('bare plants')
        ? ['Water it, and let it drain; empty the saucer.']
        : []),
    ],
    cautions: [
      ...(uses.includes('food')
        ? ['Dry food only, and only as the label of its sealer allows.']
        : ['Not for food or drink.']),
      ...(uses.includes('candle') ? ['Never leave a candle alone. Stop using it when it cracks or sweats.'] : []),
      ...(lamp ? ['LED only, within the rating on the kit. Have a damaged cord replaced by a qualified person.'] : []),
      ...(uses.includes('animals') || uses.includes('water')
        ? [
            ph === undefined
              ? 'Change its water for the first weeks: lime may still come out of it.'
              : `Its water was last found at pH ${ph}.`,
          ]
        : []),
    ],
  };
}
