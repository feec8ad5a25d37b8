import type { PourPart } from '@dewpot/core/planning';

/** The mixes of a pour by name. */
export const mixNames = (parts: readonly PourPart[]): string => parts.map(({ mixName }) => mixName).join(' and ');
