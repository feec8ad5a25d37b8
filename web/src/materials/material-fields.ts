import type { Phrase } from '@dewpot/core/units';
import {
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
  { value: 'binder', label: 'a binder' },
  { value: 'binder-part', label: 'part of a binder' },
  { value: 'aggregate', label: 'an aggregate' },
  { value: 'lightweight', label: 'a lightweight grain' },
  { value: 'organic', label: 'peat or coir' },
  { value: 'pre-blend', label: 'a ready-made powder' },
  { value: 'additive', label: 'an additive, dosed' },
  { value: 'sealer', label: 'a sealer' },
];

export const bulkings: Options<Bulking> = [
  { value: 'none', label: 'does not swell when damp' },
  { value: 'fine', label: 'swells like fine sand' },
  { value: 'sharp', label: 'swells like sharp sand' },
];

export const families: Options<BinderFamily> = [
  { value: 'portland', label: 'Portland cement' },
  { value: 'high-early', label: 'high-early Portland cement' },
  { value: 'sulfoaluminate', label: 'sulfoaluminate cement' },
  { value: 'gypsum', label: 'gypsum' },
  { value: 'lime', label: 'lime' },
];

export const additiveKinds: Options<AdditiveKind> = (Object.keys(additives) as AdditiveKind[]).map((value) => ({
  value,
  label: additives[value].name,
}));

type Size = 'bulk' | 'particle' | 'absorption' | 'demand' | 'largestGrain';
const sizes: readonly (readonly [Size, string])[] = [
  ['bulk', 'Loose bulk density, kg/L'],
  ['particle', 'Particle density, kg/L'],
  ['absorption', 'Soaks up, share of its dry mass'],
  ['demand', 'Water it asks for, kg per kg'],
  ['largestGrain', 'Largest grain, mm'],
];

/** The figures that a kind of material is known by; a ready-made powder's water stands on its bag. */
export const sizesOf = (kind: MaterialKind) =>
  kind === 'sealer'
    ? ([['bulk', 'Density, kg/L']] as const)
    : sizes.filter(([size]) => kind !== 'pre-blend' || (size !== 'absorption' && size !== 'demand'));

type SheetSize = Exclude<keyof SealerSheet, 'kind' | 'claims' | 'leastDays'>;
/** What the sheet of a sealer says in figures. */
export const sheetSizes: readonly (readonly [SheetSize, string])[] = [
  ['dense', 'Coverage on a dense face, m² a litre'],
  ['porous', 'Coverage on a porous face, m² a litre'],
  ['recoatFrom', 'Next coat after, hours'],
  ['recoatTo', 'Recoat within, hours'],
  ['cureDays', 'Full cure, days'],
  ['heat', 'Heat limit, °C'],
  ['keepsMonths', 'Keeps once opened, months'],
];

/** The sheet of a sealer until it is entered: as its kind usually is. */
export function usualSheet(kind: SealerKind): SealerSheet {
  const { name: _name, film: _film, ...sheet } = sealers[kind];
  return sheet;
}

type PowderSize = keyof NonNullable<MaterialInput['powder']>;
export const powderSizes: readonly (readonly [PowderSize, string])[] = [
  ['low', 'Least water, share of the powder'],
  ['high', 'Most water, share of the powder'],
  ['binderShare', 'Binder in it, share'],
  ['doseShare', 'Doses are calculated on, share'],
];

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
