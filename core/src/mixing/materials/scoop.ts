import {
  Checker,
  figure,
  line,
  measured,
  requireNumber,
  type Figure,
  msg,
  exactly,
} from '../../foundation/units/index.js';

/** A measuring vessel that the caster owns: its volume struck level, mL. */
export interface Scoop {
  readonly id: string;
  readonly name: string;
  readonly volume: number;
  /** Heaped, mL; where it was measured. */
  readonly heaped?: number;
}

/** A scoop as it is measured with: struck level, or heaped where that was measured too. */
export function scoopAs({ id, name, volume, heaped }: Scoop, isHeaped = false): Scoop {
  return isHeaped && heaped !== undefined ? { id, name: `${name}, heaped`, volume: heaped } : { id, name, volume };
}

/** Scoops as they are measured with: each struck level, and heaped where that was measured too. */
export const allScoops = (scoops: readonly Scoop[]): Scoop[] =>
  scoops.flatMap((scoop) => [scoopAs(scoop), ...(scoop.heaped === undefined ? [] : [scoopAs(scoop, true)])]);

/** To what part of a scoop amounts are rounded. */
export const scoopSteps = [1, 0.5, 0.25] as const;
export type ScoopStep = (typeof scoopSteps)[number];

/** An amount in scoops. */
export interface ScoopCount {
  readonly count: number;
  readonly exact: number;
}

/** Nobody counts more scoops of one material than this. */
const MOST_SCOOPS = 100_000;

/** `volume` mL in scoops to the nearest step, and never none. @throws InputError on a scoop of no size. */
export function inScoops(volume: number, scoop: Scoop, step: ScoopStep): ScoopCount {
  requireNumber('scoop.volume', scoop.volume, msg('materials.scoopVolume', { scoop: scoop.name }), {
    above: 0,
    max: 50000,
    unit: 'mL',
  });
  requireNumber('volume', volume, msg('materials.volumeToMeasure'), { min: 0, unit: 'mL' });
  const exact = volume / scoop.volume;
  requireNumber('scoop.volume', exact, msg('materials.scoopsBy', { scoop: scoop.name }), { min: 0, max: MOST_SCOOPS });
  return { exact, count: exact === 0 ? 0 : Math.max(step, Math.round(exact / step) * step) };
}

/** A count of scoops as it is said: 7½, ¾, 12. */
export function sayScoops(count: number): string {
  const whole = Math.floor(count);
  const part = { 0.25: '¼', 0.5: '½', 0.75: '¾' }[(count - whole) as 0.25 | 0.5 | 0.75] ?? '';
  return whole === 0 && part ? part : `${whole}${part}`;
}

/** Volume of a round can from its inside diameter and height, mL. */
export function canVolume(diameter: number, height: number): number {
  requireNumber('diameter', diameter, msg('materials.diameter'), { above: 0, max: 1000, unit: 'mm' });
  requireNumber('height', height, msg('materials.height'), { above: 0, max: 1000, unit: 'mm' });
  return (Math.PI * diameter * diameter * height) / 4000;
}

/** Volume of a scoop from the water that fills it to its edge, mL: 1 g is 1 mL. `mass` without the scoop, g. @throws InputError */
export function scoopByWater(mass: number): Figure {
  requireNumber('mass', mass, msg('materials.waterInScoop'), { above: 0, max: 50000, unit: 'g' });
  return figure(mass, 'mL', measured, [
    line(msg('materials.waterThatFills'), mass, 'g'),
    line(msg('materials.volume'), mass, 'mL', msg('materials.gramIsMillilitre')),
  ]);
}

/** Loose density of a material from what `scoops` level scoops of it weigh, kg/L: replaces the handbook's. @throws InputError */
export function bulkByWeighing(mass: number, scoops: number, scoop: Scoop): Figure {
  const check = new Checker();
  check.number('mass', mass, msg('materials.scoopsWeigh'), { above: 0, max: 100000, unit: 'g' });
  check.number('scoops', scoops, msg('materials.scoopCount'), { min: 1, max: 50 });
  check.number('scoop.volume', scoop.volume, msg('materials.scoopVolume', { scoop: scoop.name }), {
    above: 0,
    max: 50000,
    unit: 'mL',
  });
  check.done();
  const bulk = mass / (scoops * scoop.volume);
  requireNumber('mass', bulk, msg('materials.thatBulk'), { min: 0.02, max: 8, unit: 'kg/L' });
  return figure(bulk, 'kg/L', measured, [
    line(msg('materials.weighed'), mass, 'g'),
    line(msg('materials.levelScoops', { scoops, volume: exactly(scoop.volume, 'mL') }), scoops * scoop.volume, 'mL'),
    line(msg('materials.looseDensity'), bulk, 'kg/L', 'mass ÷ volume'),
  ]);
}
