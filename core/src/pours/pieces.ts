import { batchMass, scaleMasses, solidsMass, type BatchMasses } from '../mixes/index.js';
import { checkMould, fullVolume, volumeTo } from '../moulds/index.js';
import { computed, figure, line, type Figure } from '../units/index.js';
import type { PourItem } from './plan.js';

/** What a piece is reckoned to weigh, and what water it is to lose, g. Kept with each cast. */
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

/** Volume that one piece takes, mL. */
export function pieceVolume(item: PourItem): number {
  checkMould(item.shape);
  return item.fillTo === undefined ? fullVolume(item.shape) : volumeTo(item.shape, item.fillTo);
}

/** What a piece of `volume` mL out of a batch is reckoned to weigh. */
export function expectedOf(batch: BatchMasses, volume: number): Expected {
  const own = scaleMasses(batch, volume / batch.volume);
  const { fresh, dry } = batchMass(own);
  return { fresh, dry, solids: solidsMass(own), loss: fresh - dry };
}

/** Figures of one kind of piece cast from a batch's mix. */
export function pieceFigures(item: PourItem, batch: BatchMasses): PieceFigures {
  const volume = pieceVolume(item);
  const expected = expectedOf(batch, volume);
  const own = scaleMasses(batch, volume / batch.volume);
  return {
    mouldId: item.mouldId,
    name: item.name,
    count: item.count,
    volume: figure(volume, 'mL', computed, [
      line(
        item.fillTo === undefined ? 'Filled to the rim' : `Filled to ${item.fillTo} mm`,
        volume,
        'mL',
        'from the mould’s measurements',
      ),
    ]),
    fresh: figure(expected.fresh, 'g', computed, [
      line('Its share of the dry materials', expected.solids, 'g'),
      line('Its share of all the water', own.totalWater, 'g'),
      line('Fresh', expected.fresh, 'g'),
    ]),
    dry: figure(expected.dry, 'g', computed, [
      line('Fresh', expected.fresh, 'g'),
      line('less water that can leave', expected.loss, 'g', 'all water − bound − held'),
      line('Dry', expected.dry, 'g'),
    ]),
    expected,
  };
}
