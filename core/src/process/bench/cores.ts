import { ballast, blanks, liftsThatFit, type Ballast } from '../../geometry/moulds/index.js';
import { batchMass } from '../../mixing/mixes/index.js';
import type { CalculatedPart } from '../pours/index.js';

/** What holds down the cores of one kind of mould of a pour. */
export interface CoreHold {
  readonly name: string;
  readonly count: number;
  /** Undefined where nothing floats: plugs alone. */
  readonly held?: Ballast;
  /** Where sand alone does not hold it: in so many lifts, each on a set one, it does. */
  readonly lifts?: number;
}

/** What the cores of a pour want, mould by mould, by its mix's own density. */
export function coreHolds({ plan, sheet }: CalculatedPart): CoreHold[] {
  const { perPart } = sheet.mix;
  const density = batchMass(perPart).fresh / perPart.volume;
  const sand = plan.ballastSand ? { sand: plan.ballastSand } : {};
  return plan.items
    .filter(({ shape }) => blanks(shape).length > 0)
    .map(({ name, count, shape, fillTo }) => {
      const held = ballast(shape, density, { ...sand, ...(fillTo !== undefined && { to: fillTo }) });
      const lifts = held && !held.fits ? liftsThatFit(shape, density, sand) : undefined;
      return { name, count, ...(held && { held }), ...(lifts !== undefined && { lifts }) };
    });
}
