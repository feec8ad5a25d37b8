import { msg, type Message, type Phrase } from '@dewpot/core/units';
import {
  type SealerClaim,
  additives,
  sealers,
  type AdditiveKind,
  type BinderFamily,
  type Bulking,
  type MaterialKind,
  type SealerKind,
  type SealerSheet,
} from '@dewpot/core/materials';
import type { MaterialInput } from '@dewpot/contract';

type Options<T> = readonly { readonly value: T; readonly label: Phrase }[];

export const kinds: Options<MaterialKind> = [
  { value: 'binder', label: msg('materials.kindBinder') },
  { value: 'binder-part', label: msg('materials.kindBinderPart') },
  { value: 'aggregate', label: msg('materials.kindAggregate') },
  { value: 'lightweight', label: msg('materials.kindLightweight') },
  { value: 'organic', label: msg('materials.kindOrganic') },
  { value: 'pre-blend', label: msg('materials.kindPreBlend') },
  { value: 'additive', label: msg('materials.kindAdditive') },
  { value: 'sealer', label: msg('materials.kindSealer') },
];

export const bulkings: Options<Bulking> = [
  { value: 'none', label: msg('materials.swellsNone') },
  { value: 'fine', label: msg('materials.swellsFine') },
  { value: 'sharp', label: msg('materials.swellsSharp') },
];

export const families: Options<BinderFamily> = [
  { value: 'portland', label: msg('materials.familyPortland') },
  { value: 'high-early', label: msg('materials.familyHighEarly') },
  { value: 'sulfoaluminate', label: msg('materials.familySulfo') },
  { value: 'gypsum', label: msg('materials.familyGypsum') },
  { value: 'lime', label: msg('materials.familyLime') },
];

export const additiveKinds: Options<AdditiveKind> = (Object.keys(additives) as AdditiveKind[]).map((value) => ({
  value,
  label: additives[value].name,
}));

type Size = 'bulk' | 'particle' | 'absorption' | 'demand' | 'largestGrain';
const sizes: readonly (readonly [Size, Message])[] = [
  ['bulk', msg('materials.looseDensityField')],
  ['particle', msg('materials.particleDensityField')],
  ['absorption', msg('materials.soaksUpField')],
  ['demand', msg('materials.demandField')],
  ['largestGrain', msg('materials.largestGrainField')],
];

/** The figures that a kind of material is known by; a ready-made powder's water stands on its bag. */
export const sizesOf = (kind: MaterialKind) =>
  kind === 'sealer'
    ? ([['bulk', msg('materials.densityField')]] as const)
    : sizes.filter(([size]) => kind !== 'pre-blend' || (size !== 'absorption' && size !== 'demand'));

type SheetSize = Exclude<keyof SealerSheet, 'kind' | 'claims' | 'leastDays'>;
/** What the sheet of a sealer says in figures. */
export const sheetSizes: readonly (readonly [SheetSize, Message])[] = [
  ['dense', msg('materials.coverageDenseField')],
  ['porous', msg('materials.coveragePorousField')],
  ['recoatFrom', msg('materials.nextCoatAfter')],
  ['recoatTo', msg('materials.recoatWithin')],
  ['cureDays', msg('materials.fullCureDays')],
  ['heat', msg('materials.heatLimitField')],
  ['keepsMonths', msg('materials.keepsOpened')],
];

/** The sheet of a sealer until it is entered: as its kind usually is. */
export function usualSheet(kind: SealerKind): SealerSheet {
  const { name: _name, film: _film, ...sheet } = sealers[kind];
  return sheet;
}

type PowderSize = keyof NonNullable<MaterialInput['powder']>;
export const powderSizes: readonly (readonly [PowderSize, Message])[] = [
  ['low', msg('materials.leastWater')],
  ['high', msg('materials.mostWater')],
  ['binderShare', msg('materials.binderInIt')],
  ['doseShare', msg('materials.dosesOn')],
];

/** What the label of a sealer may say. */
export const claimWords: Record<SealerClaim, Message> = {
  'dry food': msg('materials.claimFood'),
  'drinking water': msg('materials.claimWater'),
  candle: msg('materials.claimCandle'),
  outdoors: msg('materials.claimOutdoors'),
  frost: msg('materials.claimFrost'),
};

export const blank: MaterialInput = {
  name: '',
  kind: 'aggregate',
  bulk: 1.5,
  particle: 2.65,
  absorption: 0.01,
  demand: 0.08,
  largestGrain: 4,
  bulking: 'none',
  version: 0,
};

/** A material as it is sent: without what does not go with its kind. */
export function tidyMaterial({
  family,
  powder,
  additive,
  solids,
  tinting,
  sealer,
  times,
  ...rest
}: MaterialInput): MaterialInput {
  const { kind } = rest;
  const binds = kind === 'binder' || kind === 'pre-blend';
  return {
    ...rest,
    name: rest.name.trim(),
    ...(kind === 'sealer' && {
      sealer: sealer ?? usualSheet('penetrating'),
      particle: rest.bulk,
      absorption: 0,
      demand: 0,
      largestGrain: 0,
      bulking: 'none' as const,
    }),
    ...(binds && { family: family ?? 'portland' }),
    ...(binds && times && { times }),
    ...(kind === 'binder-part' && { family: family ?? 'pozzolan' }),
    ...(kind === 'pre-blend' && powder && { powder, absorption: 0, demand: 0 }),
    ...(kind === 'additive' && { additive: additive ?? 'powder-pigment' }),
    ...(kind === 'additive' && tinting && { tinting }),
    ...(kind === 'additive' && solids !== undefined && solids < 1 && { solids }),
  };
}
