import { bulking, type ScoopedLine } from '../mixes/index.js';
import type { ScoopCount } from '../stores/index.js';
import { computed, figure, line, type Figure } from '../units/index.js';
import type { PourPlan } from './plan.js';

/** One material of one batch. */
export interface SheetLine {
  readonly materialId: string;
  readonly name: string;
  readonly kind: string;
  /** As it lies in the store, damp as it is, g. */
  readonly mass: Figure;
  readonly scoops: ScoopCount;
  /** How far the rounding takes its ratio to the binder, as a share. */
  readonly ratioError: number;
}

/** The lines of one batch as they are scooped and weighed, with their working. */
export function sheetLines(plan: PourPlan, rows: readonly ScoopedLine[]): SheetLine[] {
  return rows.map(({ material, mass, volume, exact, count, ratioError }) => ({
    materialId: material.id,
    name: material.name,
    kind: material.kind,
    mass: figure(
      mass * (1 + (plan.moisture[material.id] ?? 0)),
      'g',
      computed,
      sheetWorking(plan, { material, mass, volume, exact }),
    ),
    scoops: { count, exact },
    ratioError,
  }));
}

function sheetWorking(
  plan: PourPlan,
  { material, mass, volume, exact }: Pick<ScoopedLine, 'material' | 'mass' | 'volume' | 'exact'>,
) {
  const moisture = plan.moisture[material.id] ?? 0;
  const damp = [
    line('Moisture it carries', mass * moisture, 'g', `${(moisture * 100).toFixed(0)} % of its dry mass`),
    line('Swollen by damp', bulking(material.bulking, moisture), 'ratio', 'a scoop of damp sand holds less sand'),
  ];
  return [
    line('Dry mass in this batch', mass, 'g'),
    line('Loose density, dry', material.bulk, 'kg/L'),
    ...(moisture > 0 ? damp : []),
    line('In the scoop', volume, 'mL'),
    line(`In ${plan.scoop.name} of ${plan.scoop.volume} mL`, exact, 'scoops'),
    line('As you weigh it', mass * (1 + moisture), 'g'),
  ];
}
