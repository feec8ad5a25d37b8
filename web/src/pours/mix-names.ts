import { listed, type Listed } from '@dewpot/core/units';
import type { PourPart } from '@dewpot/core/planning';

/** The mixes of a pour by name. */
export const mixNames = (parts: readonly PourPart[]): Listed => listed(parts.map(({ mixName }) => mixName));
