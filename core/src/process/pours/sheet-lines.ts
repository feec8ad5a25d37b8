import { computed, figure, line, type Figure, msg, quantity, exactly } from '../../foundation/units/index.js';
import type { MeasuredBatch, MeasuredLine, Measure } from '../../mixing/measuring/index.js';
import { bulking } from '../../mixing/mixes/index.js';
import type { PourPlan } from './plan.js';

/** One material of one batch. */
export interface SheetLine {
  readonly materialId: string;
  readonly name: string;
  readonly kind: string;
  /** As it lies in the store, damp as it is, g. */
  readonly mass: Figure;
  /** As it is measured out, in that order. */
  readonly measures: readonly Measure[];
  /** Room that it takes in a scoop, damp as it is, mL. */
  readonly room: number;
  /** How far measuring takes its ratio to the binder, as a share. */
  readonly ratioError: number;
}

/** The lines of one batch as they are measured, with their working. */
export function sheetLines(plan: PourPlan, { lines }: Pick<MeasuredBatch, 'lines'>): SheetLine[] {
  return lines.map((measured) => {
    const { material, mass, measures, room, ratioError } = measured;
    const damp = mass * (1 + (plan.moisture[material.id] ?? 0));
    return {
      materialId: material.id,
      name: material.name,
      kind: material.kind,
      mass: figure(damp, 'g', computed, sheetWorking(plan, measured)),
      measures,
      room,
      ratioError,
    };
  });
}

function sheetWorking(plan: PourPlan, { material, mass, room, measures, measured }: MeasuredLine) {
  const moisture = plan.moisture[material.id] ?? 0;
  const damp = [
    line(
      msg('pours.moistureCarried'),
      mass * moisture,
      'g',
      msg('pours.moistureShare', { moisture: quantity(moisture * 100, '%', 0) }),
    ),
    line(msg('pours.swollen'), bulking(material.bulking, moisture), 'ratio', msg('pours.swollenHow')),
  ];
  return [
    line(msg('pours.dryMassInBatch'), mass, 'g'),
    line(msg('pours.looseDry'), material.bulk, 'kg/L'),
    ...(moisture > 0 ? damp : []),
    line(msg('pours.inScoop'), room, 'mL'),
    ...measures.flatMap((one) =>
      one.kind === 'scoop'
        ? [
            line(
              msg('pours.scoopsOf', { scoop: one.scoop.name, volume: exactly(one.scoop.volume, 'mL') }),
              one.count,
              'scoops',
            ),
          ]
        : [line(msg('pours.onScale'), one.mass, 'g')],
    ),
    ...(measures.length > 0 ? [line(msg('pours.measuresHold'), measured, 'g')] : []),
    line(msg('pours.asWeighed'), mass * (1 + moisture), 'g'),
  ];
}
