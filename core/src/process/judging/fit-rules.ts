import { formatQuantity, remedies, type Finding, type FindingKey, type Remedy } from '../../foundation/units/index.js';
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

const lowerFirst = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);

/** What is said of a mould by itself, told of the item, with the ways out that a pour has. */
function ofPour({ item, traits }: JudgedMould, finding: Finding): Finding<PlanChange> {
  const further: Remedy<PlanChange>[] = [];
  if (byMix.includes(finding.key)) further.push({ text: 'Choose a finer mix.', change: ANOTHER_MIX });
  if (finding.key === 'grain' && item.mesh && traits?.meshOpening !== undefined)
    further.push({ text: 'Leave the mesh out, and use fibre.', change: { mesh: false } });
  return { ...finding, text: `${item.name}: ${lowerFirst(finding.text)}`, remedies: [...further, ...finding.remedies] };
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
    text: `${item.name}: its core needs ${formatQuantity(needed.mass.value, 'g', 'metric')} of ballast, more than its own sand weighs.`,
    reason: 'The mix that a core pushes aside lifts it, and a set base does not hold it.',
    basis: 'calculated',
    remedies: [
      { text: 'Lay a bar across and clamp it down.' },
      ...(lifts !== undefined && lifts > 1 ? remedies(`Pour in ${lifts} even lifts, each on a set one.`) : []),
    ],
  };
};
