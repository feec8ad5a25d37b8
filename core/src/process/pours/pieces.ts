import { computed, figure, line, type Figure, msg, exactly } from '../../foundation/units/index.js';
import { checkMould, fullVolume, insetMass, insetVolume, volumeTo } from '../../geometry/moulds/index.js';
import { batchMass, scaleMasses, solidsMass, type BatchMasses } from '../../mixing/mixes/index.js';
import type { PourItem } from './plan.js';

/** What a piece is calculated to weigh, and what water it is to lose, g. Kept with each cast. */
export interface Expected {
  readonly fresh: number;
  readonly dry: number;
  /** Mass of the solids alone. */
  readonly solids: number;
  /** Water that can leave: total less bound less held. */
  readonly loss: number;
}

/** One kind of piece of a pour. */
export interface PieceFigures {
  readonly mouldId: string;
  readonly name: string;
  readonly count: number;
  readonly volume: Figure;
  readonly fresh: Figure;
  readonly dry: Figure;
  readonly expected: Expected;
}

/** What an item's inset takes out of its mix, mL. */
const displaced = ({ inset }: Pick<PourItem, 'inset'>): number => (inset ? insetVolume(inset) : 0);

/** Of that, what lies on the bottom, below every layer and every lift, mL. */
export const displacedBelow = ({ inset }: Pick<PourItem, 'inset'>): number =>
  inset?.face === 'mould' ? insetVolume(inset) : 0;

/** Volume of mix that one piece takes, mL. */
export function pieceVolume(item: Pick<PourItem, 'shape' | 'fillTo' | 'inset'>): number {
  checkMould(item.shape);
  const held = item.fillTo === undefined ? fullVolume(item.shape) : volumeTo(item.shape, item.fillTo);
  return held - displaced(item);
}

/** What a piece of `volume` mL out of a batch is calculated to weigh, with so many grams that are laid in it. */
export function expectedOf(batch: BatchMasses, volume: number, laidIn = 0): Expected {
  const own = scaleMasses(batch, volume / batch.volume);
  const { fresh, dry } = batchMass(own);
  return { fresh: fresh + laidIn, dry: dry + laidIn, solids: solidsMass(own) + laidIn, loss: fresh - dry };
}

/** What stays in a piece of what is laid in it, g. */
export const laidInMass = ({ inset }: Pick<PourItem, 'inset'>): number => (inset ? insetMass(inset) : 0);

/** Figures of one kind of piece cast from a batch's mix. */
export function pieceFigures(item: PourItem, batch: BatchMasses): PieceFigures {
  const volume = pieceVolume(item);
  const [taken, laidIn] = [displaced(item), laidInMass(item)];
  const expected = expectedOf(batch, volume, laidIn);
  const own = scaleMasses(batch, volume / batch.volume);
  return {
    mouldId: item.mouldId,
    name: item.name,
    count: item.count,
    volume: figure(volume, 'mL', computed, [
      line(
        item.fillTo === undefined
          ? msg('pours.filledToRim')
          : msg('pours.filledTo', { fillTo: exactly(item.fillTo, 'mm') }),
        volume + taken,
        'mL',
        msg('pours.byMouldMeasurements'),
      ),
      ...(taken > 0
        ? [
            line(msg('pours.lessInset'), taken, 'mL', msg('pours.areaTimesThickness')),
            line(msg('pours.mix'), volume, 'mL'),
          ]
        : []),
    ]),
    fresh: figure(expected.fresh, 'g', computed, [
      line(msg('pours.shareOfDry'), expected.solids - laidIn, 'g'),
      line(msg('pours.shareOfWater'), own.totalWater, 'g'),
      ...(laidIn > 0
        ? [line(msg('pours.laidIn'), laidIn, 'g', msg('pours.stoneAndTile', { density: exactly(2.4, 'kg/L') }))]
        : []),
      line(msg('pours.fresh'), expected.fresh, 'g'),
    ]),
    dry: figure(expected.dry, 'g', computed, [
      line(msg('pours.fresh'), expected.fresh, 'g'),
      line(msg('pours.lessLeavingWater'), expected.loss, 'g', msg('pours.leavingWaterHow')),
      line(msg('pours.dry'), expected.dry, 'g'),
    ]),
    expected,
  };
}
