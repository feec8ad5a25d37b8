import { remedies, type Finding, type FindingKey, type Remedy, msg, quantity } from '../../foundation/units/index.js';
import {
  ballast,
  checkGrain,
  computedVolume,
  liftsThatFit,
  mouldFindings,
  rimOf,
  thinnestWall,
  undercut,
  wallPressure,
} from '../../geometry/moulds/index.js';
import { largestGrain } from '../../mixing/mixes/index.js';
import type { PlacingWay } from '../pours/index.js';
import { ANOTHER_MIX, type ItemRule, type JudgedMould, type PlanChange } from './judged.js';
import { leastWall } from './least-wall.js';

/** Findings of a mould that another mix ends. */
const byMix: readonly FindingKey[] = ['wall', 'grain'];

/** What is said of a mould by itself, told of the item, with the ways out that a pour has. */
function ofPour({ item, traits }: JudgedMould, finding: Finding): Finding<PlanChange> {
  const further: Remedy<PlanChange>[] = [];
  if (byMix.includes(finding.key)) further.push({ text: msg('judging.finerMix'), change: ANOTHER_MIX });
  if (finding.key === 'grain' && item.mesh && traits?.meshOpening !== undefined)
    further.push({ text: msg('judging.meshOut'), change: { mesh: false } });
  return {
    ...finding,
    text: msg('judging.ofItem', { item: item.name, text: finding.text }),
    remedies: [...further, ...finding.remedies],
  };
}

/** Whether a mix is poured, and so pushes on walls and lifts cores. */
const isFluid = (way: PlacingWay) => !way.startsWith('pressed') && way !== 'packed' && way !== 'leaf on sand';

/** Grain, walls, draft, undercut and pressure of a mould, in the mix that goes in. */
export const fitRule: ItemRule = (judged) => {
  const { item, plan, mix, gap, traits, way } = judged;
  const { shape, piece, mesh = false } = item;
  const density = mix.freshDensity.value;
  const opening = mesh ? traits?.meshOpening : undefined;
  const grain = gap === undefined ? undefined : checkGrain(largestGrain(plan.mix), gap, opening);
  const found = mouldFindings(
    shape,
    {
      piece,
      leastWall: leastWall(piece, plan.mix),
      ...(traits && { flexibility: traits.flexibility, sleeve: traits.sleeve ?? false }),
    },
    {
      // A mix that is packed or pressed stands by itself.
      pressure: isFluid(way) ? wallPressure(shape, density) : 0,
      computedVolume: computedVolume(shape),
      thinnest: gap === undefined ? undefined : thinnestWall(shape),
      undercut: undercut(shape),
      grain,
    },
  );
  return found.map((finding) => ofPour(judged, finding));
};

/** A core that its own sand does not hold down. */
export const floatingCoreRule: ItemRule = ({ item, plan, mix, traits, way }) => {
  if (!isFluid(way)) return undefined;
  const { shape, fillTo = rimOf(shape) } = item;
  const density = mix.freshDensity.value;
  const holding = { coreMass: traits?.coreMass ?? 0, ...(plan.ballastSand && { sand: plan.ballastSand }) };
  const needed = ballast(shape, density, { ...holding, to: fillTo });
  if (!needed || needed.fits || needed.mass.value === 0) return undefined;
  const lifts = liftsThatFit(shape, density, holding);
  return {
    key: 'floating-core',
    harm: 2,
    text: msg('judging.coreBallast', { item: item.name, value: quantity(needed.mass.value, 'g') }),
    reason: msg('judging.coreBallastReason'),
    basis: 'calculated',
    remedies: [
      { text: msg('judging.clampCore') },
      ...(lifts !== undefined && lifts > 1 ? remedies(msg('judging.evenLifts', { lifts })) : []),
    ],
  };
};
