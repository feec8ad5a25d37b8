import { listed, type Listed } from '@dewpot/core/units';
import type { PourPart } from '@dewpot/core/planning';

/** The mixes of a pour by name. */
export const mixNames = (parts: readonly Pick<PourPart, 'mixName'>[]): Listed =>
  listed(parts.map(({ mixName }) => mixName));
