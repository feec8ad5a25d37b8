import { computed, figure, line, type Figure, msg, exactly, type Message } from '../../foundation/units/index.js';
import { evaporation, faceRisk, type FaceAmbient, type FaceRisk } from './evaporation.js';
import { MOST_WETTINGS, faceWater, mistingPlan, usualWaking, type Waking } from './misting.js';

/** What lies over a face in its moist curing. */
export const coversInOrder = ['none', 'shade', 'damp cloth', 'film', 'bag', 'bath'] as const;
export type Cover = (typeof coversInOrder)[number];

/** What a cover lets through of what would evaporate, as a share, and of the wind. */
const lets: Record<Cover, { readonly through: number; readonly wind: number }> = {
  none: { through: 1, wind: 1 },
  shade: { through: 1, wind: 0.3 },
  'damp cloth': { through: 0, wind: 1 },
  film: { through: 0.05, wind: 1 },
  bag: { through: 0.03, wind: 1 },
  bath: { through: 0, wind: 0 },
};

export const coverWords: Record<Cover, Message> = {
  none: msg('curing.coverOpen'),
  shade: msg('curing.coverShade'),
  'damp cloth': msg('curing.coverCloth'),
  film: msg('curing.coverFilm'),
  bag: msg('curing.coverBag'),
  bath: msg('curing.coverBath'),
};

/** A cover by what was written of it; open where that is no cover known here. */
export const coverOf = (written: string | undefined): Cover => coversInOrder.find((one) => one === written) ?? 'none';

/** Water off a face under a cover, kg/m²/h: film lets through 5 %, a bag 3 %, a damp cloth nothing while it is damp, shade a third of the wind. */
export function evaporationUnder(cover: Cover, ambient: FaceAmbient): number {
  const { through, wind } = lets[cover];
  return through * evaporation({ ...ambient, wind: ambient.wind * wind });
}

/** What a cover does to a face. */
export interface CoverEffect {
  readonly cover: Cover;
  readonly rate: Figure;
  readonly risk: FaceRisk;
  /** Wettings a day that it would still take. */
  readonly wettings: number;
  /** What it asks for, as a sentence. */
  readonly told: Message;
}

function told(cover: Cover, wettings: number, clothDries: number): Message {
  if (cover === 'bath') return msg('curing.bathNothingLeaves');
  if (cover === 'damp cloth')
    return msg('curing.clothNothingLeaves', { value: exactly(Math.max(1, Math.floor(clothDries)), 'h') });
  if (wettings === 0) return msg('curing.noWetting');
  if (wettings > MOST_WETTINGS) return msg('curing.wettingsTooMany', { wettings });
  return msg('curing.wettingsADay', { wettings });
}

/** What leaving it open, shade, cloth, film, a bag or a bath would each do to a face in this air, the least effective first. */
export function compareCovers(ambient: FaceAmbient, lightweight: boolean, waking: Waking = usualWaking): CoverEffect[] {
  const open = evaporation(ambient);
  const { loss, left } = faceWater(open, lightweight);
  const clothDries = loss > 0 ? Math.min(12, left / loss) : 12;
  return coversInOrder.map((cover) => {
    const rate = evaporationUnder(cover, ambient);
    const { wettings } = mistingPlan(rate, lightweight, waking);
    return {
      cover,
      rate: figure(rate, 'kg/m²/h', computed, [
        line(msg('curing.openHere'), open, 'kg/m²/h', msg('curing.nomograph')),
        line(msg('curing.letsThrough', { coverWords: coverWords[cover] }), lets[cover].through * 100, '%'),
        ...(cover === 'shade'
          ? [line(msg('curing.windReaches'), ambient.wind * lets.shade.wind, 'ratio', 'km/h')]
          : []),
        line(msg('curing.offFace'), rate, 'kg/m²/h'),
      ]),
      risk: faceRisk(rate),
      wettings,
      told: told(cover, wettings, clothDries),
    };
  });
}
