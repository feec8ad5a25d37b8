import type { Message } from './message.js';

/** What can speak against a pour. */
export const findingKeys = [
  'grain', 'wall', 'span', 'leaf-thickness', 'undercut', 'stretch', 'locked-core', 'no-draft', 'no-flat-base', 'bulge',
  'soft-core', 'measured-volume', 'floating-core', 'consistency', 'fluid-on-form', 'release', 'release-under-sealer',
  'wet-binder', 'strength', 'use-food', 'use-candle', 'use-animals', 'use-plants', 'use-water', 'own-note',
  'thick-section', 'fading-pigment', 'carbon-outdoors', 'grey-base', 'chloride', 'chloride-mesh', 'weight',
  'powder-water', 'ceiling', 'float', 'soup', 'parting', 'dose', 'glue-outdoors', 'bucket', 'pot-life', 'light-cure', 'damp-gypsum', 'sets-otherwise',
  'frost-ahead', 'cold-ahead', 'heat-ahead', 'dry-air', 'old-cement', 'old-powder', 'short-lot',
] as const; // prettier-ignore
export type FindingKey = (typeof findingKeys)[number];

/** How bad it is: 1 someone or the piece comes to harm, 2 the cast fails or soon breaks, 3 it is harder or comes out worse. */
export type Harm = 1 | 2 | 3;

/** What a rule rests on. */
export type FindingBasis = 'guide' | 'calculated' | 'product' | 'forecast' | 'record';

/** What can be done about a finding. `Change` is the one choice that does it, where there is one. */
export interface Remedy<Change = never> {
  readonly text: Message;
  readonly change?: Change;
  /** What that change costs in strength, weight or money. */
  readonly cost?: Message;
}

/** What speaks against something. */
export interface Finding<Change = never> {
  readonly key: FindingKey;
  readonly harm: Harm;
  readonly text: Message;
  readonly reason: Message;
  readonly basis: FindingBasis;
  readonly remedies: readonly Remedy<Change>[];
}

/** Findings by their harm, the worst first; those of one harm stay in their order. */
export const worstFirst = <T extends { readonly harm: Harm }>(findings: readonly T[]): T[] =>
  [...findings].sort((a, b) => a.harm - b.harm);

/** Remedies that no single choice makes. */
export const remedies = (...texts: readonly Message[]): readonly Remedy[] => texts.map((text) => ({ text }));
