import type { Material } from '../materials/index.js';
import type { Spectrum } from './bands.js';
import { baseOf } from './base-colour.js';
import { LEVELLING, STRENGTH, type Colourant, type Dosed } from './colouring.js';
import { fitStrength, type Chip, type FittedStrength } from './fit-strength.js';
import { spectrumOf } from './spectrum.js';
import { basePortions, type TintBase } from './tint.js';

/** A test chip that was cast and measured dry. Doses are shares of the binder. */
export interface MeasuredChip {
  readonly base: TintBase;
  readonly doses: readonly { readonly material: Material; readonly amount: number }[];
  /** #rrggbb */
  readonly measured: string;
}

/** A pigment as a workshop knows it: by its own chips, as far as there are any. */
export interface KnownPigment {
  readonly colourant: Colourant;
  readonly fit: FittedStrength;
}

/** What a workshop knows of colours: its pigments by their keys, and the bases of which it measured a chip. */
export interface KnownColours {
  readonly pigments: ReadonlyMap<string, KnownPigment>;
  readonly bases: ReadonlyMap<string, Spectrum>;
}

/** By what a base is known again. */
export const baseKey = ({ binder, sand }: TintBase): string => `${binder.id} ${sand?.id ?? ''}`;

/** A pigment as the handbook and its own figures have it. @throws Error where its colour is no colour */
export const colourantOf = ({
  colour = '#808080',
  tinting: { strength = STRENGTH, levelling = LEVELLING } = {},
}: Material): Colourant => ({
  spectrum: spectrumOf(colour),
  strength,
  levelling,
});

/** Reflectance of a base, measured where a chip of it by itself was, and whether it was. @throws InputError where its colour is not known */
export function knownBase(
  base: TintBase,
  { bases }: Pick<KnownColours, 'bases'>,
): { spectrum: Spectrum; measured: boolean } {
  const measured = bases.get(baseKey(base));
  return measured ? { spectrum: measured, measured: true } : { spectrum: baseOf(basePortions(base)), measured: false };
}

const nothing: KnownColours = { pigments: new Map(), bases: new Map() };

/** A pigment as it is known, or as the handbook has it. */
export const knownPigment = (material: Material, { pigments }: KnownColours = nothing): KnownPigment =>
  pigments.get(material.id) ?? {
    colourant: colourantOf(material),
    fit: { strength: material.tinting?.strength ?? STRENGTH, chips: 0, before: 0, after: 0 },
  };

/** A pigment in a mix, as it is known. `amount`: share of the binder. */
export const dosedAs = (
  { material, amount }: { readonly material: Material; readonly amount: number },
  known: KnownColours,
): Dosed => ({ colourant: knownPigment(material, known).colourant, dose: amount * 100 });

const canBeSeen = ({ base, doses }: MeasuredChip, bases: ReadonlyMap<string, Spectrum>) =>
  (base.binder.colour !== undefined || bases.has(baseKey(base))) &&
  doses.every(({ material }) => material.colour !== undefined);

/** Chips of one pigment: alone in it, or beside others as they are known. */
function chipsOf(id: string, chips: readonly MeasuredChip[], known: KnownColours, alone: boolean): Chip[] {
  return chips.flatMap(({ base, doses, measured }) => {
    const own = doses.find(({ material }) => material.id === id);
    if (!own || (alone && doses.length > 1)) return [];
    const others = doses.filter((dose) => dose !== own).map((dose) => dosedAs(dose, known));
    return [{ base: knownBase(base, known).spectrum, dose: own.amount * 100, measured, others }];
  });
}

/**
 * What chips teach: bases by their bare chips, the last one counting; each pigment's strength by its chips, those with one
 * pigment first, then those with several. A chip whose base or pigment has no colour teaches nothing.
 */
export function learnColours(chips: readonly MeasuredChip[]): KnownColours {
  const bases = new Map(
    chips.filter(({ doses }) => doses.length === 0).map(({ base, measured }) => [baseKey(base), spectrumOf(measured)]),
  );
  const tinted = chips.filter((chip) => chip.doses.length > 0 && canBeSeen(chip, bases));
  const materials = new Map(tinted.flatMap(({ doses }) => doses.map(({ material }) => [material.id, material])));
  const learn = (known: KnownColours, alone: boolean): KnownColours => ({
    bases,
    pigments: new Map(
      [...materials].map(([id, material]) => {
        const colourant = colourantOf(material);
        const fit = fitStrength(colourant, chipsOf(id, tinted, known, alone));
        return [id, { colourant: { ...colourant, strength: fit.strength }, fit }];
      }),
    ),
  });
  return learn(learn({ ...nothing, bases }, true), false);
}
