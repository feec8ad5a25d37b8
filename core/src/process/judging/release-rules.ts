import { msg } from '../../foundation/units/index.js';
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
  const usual = {
    text: msg('judging.useRelease', { name: releases[defined(best)].name }),
    change: { release: defined(best) },
  };
  if (!suited.includes(release))
    return {
      key: 'release',
      harm: release === 'none' ? 2 : 3,
      text: msg('judging.releaseUnusual', {
        item: item.name,
        material: mouldMaterials[material],
        release,
        releaseName: releases[release].name,
      }),
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
    text: msg('judging.spoilsSealer', { name: releases[release].name, item: item.name }),
    reason: releases[release].does,
    basis: 'guide',
    remedies: other
      ? [{ text: msg('judging.useRelease', { name: releases[other].name }), change: { release: other } }]
      : [],
  };
};
