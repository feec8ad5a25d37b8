import { defined } from '../../foundation/math/index.js';
import { mouldMaterials, releases, releasesFor, type ReleaseName } from '../../geometry/moulds/index.js';
import type { ItemRule } from './judged.js';

/** Releases that spoil paint and sealer that come after. */
const SPOILS: readonly ReleaseName[] = ['silicone-spray'];

/** What is put on a mould against what the mould is made of, and against what comes on the cast. */
export const releaseRule: ItemRule = ({ item, traits, context: { release = traits?.release, uses = [] } }) => {
  const material = traits?.material;
  if (!release || !material) return undefined;
  const suited = releasesFor(material);
  const [best] = suited;
  const usual = { text: `Use ${releases[defined(best)].name.toLowerCase()}.`, change: { release: defined(best) } };
  if (!suited.includes(release))
    return {
      key: 'release',
      harm: release === 'none' ? 2 : 3,
      text: `${item.name} is ${mouldMaterials[material].toLowerCase()}: ${release === 'none' ? 'without a release agent the cast sticks' : `${releases[release].name.toLowerCase()} is not usual on it`}.`,
      reason: releases[defined(best)].does,
      basis: 'guide',
      remedies: [usual],
    };
  const sealed = uses.some((use) => use !== 'bare plants');
  if (!SPOILS.includes(release) || !sealed) return undefined;
  const other = suited.find((one) => !SPOILS.includes(one));
  return {
    key: 'release-under-sealer',
    harm: 3,
    text: `${releases[release].name} on ${item.name} spoils paint and sealer later.`,
    reason: releases[release].does,
    basis: 'guide',
    remedies: other ? [{ text: `Use ${releases[other].name.toLowerCase()}.`, change: { release: other } }] : [],
  };
};
