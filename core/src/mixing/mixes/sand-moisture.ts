import { interpolate, type Points } from '../../foundation/math/index.js';
import { Checker, figure, line, measured, requireNumber, type Figure, msg } from '../../foundation/units/index.js';
import type { Bulking, Material } from '../materials/index.js';

/** Moisture (share of dry mass) against bulking of fine sand. */
const fineBulking: Points = [
  [0, 1],
  [0.02, 1.18],
  [0.05, 1.3],
  [0.08, 1.24],
  [0.12, 1.12],
  [0.18, 1],
];
const shareOfRise: Record<Bulking, number> = { fine: 1, sharp: 2 / 3, none: 0 };

/** Wettest that a sand can be and still be scooped, share of dry mass. */
const WETTEST_SAND = 0.3;
/** Grains that soak water up, peat and coir, hold so many times what they soak up before it drips. */
const HELD_OF_ABSORPTION = 1.5;

/** Wettest that a material can come, share of its dry mass: sand before it flows, porous and organic grains before they drip. */
export const wettest = ({ kind, absorption }: Pick<Material, 'kind' | 'absorption'>): number =>
  kind === 'organic' || kind === 'lightweight' ? Math.max(WETTEST_SAND, HELD_OF_ABSORPTION * absorption) : WETTEST_SAND;

/** How much more room damp sand takes than dry, at moisture `w` (0–0.3, share of dry mass); 1 for what does not swell. Straight between the handbook's points. */
export function bulking(kind: Bulking, w: number): number {
  if (kind === 'none') return 1;
  requireNumber('moisture', w, msg('mixes.sandMoisture'), { min: 0, max: WETTEST_SAND });
  const fine = interpolate(fineBulking, w);
  return 1 + (fine - 1) * shareOfRise[kind];
}

/** Volume in the scoop of `dryMass` g of a material at moisture `w`, mL. */
export function scoopedVolume(material: Material, dryMass: number, w: number): number {
  return (dryMass / material.bulk) * bulking(material.bulking, w);
}

/** What a squeeze in the fist tells of the moisture of sand. */
export const squeezeTest = [
  { key: 'dry', moisture: 0, looks: msg('mixes.sandDry') },
  { key: 'barely', moisture: 0.02, looks: msg('mixes.sandDamp') },
  { key: 'lump', moisture: 0.05, looks: msg('mixes.sandMoist') },
  { key: 'wet', moisture: 0.08, looks: msg('mixes.sandWet') },
] as const;

/** Moisture of a handful by weighing it damp and dried, share of its dry mass. Masses in g; `most` is the wettest it can be. @throws InputError */
export function moistureByDrying(damp: number, dry: number, most = WETTEST_SAND): Figure {
  const check = new Checker();
  check.number('dry', dry, msg('mixes.driedHandful'), { above: 0, max: 5000, unit: 'g' });
  if (check.clean) check.number('damp', damp, msg('mixes.dampHandful'), { min: dry, max: dry * (1 + most), unit: 'g' });
  check.done();
  const moisture = damp / dry - 1;
  return figure(moisture * 100, '%', measured, [
    line(msg('mixes.damp'), damp, 'g'),
    line(msg('mixes.dried'), dry, 'g'),
    line(msg('mixes.moisture'), moisture * 100, '%', '(damp − dried) ÷ dried'),
  ]);
}
