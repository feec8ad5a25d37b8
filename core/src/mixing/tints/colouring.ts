import type { Spectrum } from './bands.js';

/** A pigment as light meets it. */
export interface Colourant {
  /** Reflectance of the pigment by itself. */
  readonly spectrum: Spectrum;
  /** Tinting strength; 40 until the caster's own chips say otherwise. */
  readonly strength: number;
  /** Dose at which its pull levels off, per cent of the binder: 4 for oxides, 2 for carbon. */
  readonly levelling: number;
}

/** A colourant with how much of it is in the mix, per cent of the binder. */
export interface Dosed {
  readonly colourant: Colourant;
  readonly dose: number;
}

/** Tinting strength of a pigment that no chip has told of. */
export const STRENGTH = 40;
/** Dose at which a pigment's pull levels off where nothing else is said, per cent of the binder. */
export const LEVELLING = 4;

/** Light absorbed against light scattered (Kubelka and Munk), from reflectance: (1 − R)² ÷ 2R. */
export const absorptionOf = (reflectance: number): number => (1 - reflectance) ** 2 / (2 * reflectance);

/** Reflectance of a thick layer of that K/S. */
export const reflectanceOf = (ks: number): number => 1 + ks - Math.sqrt(ks * ks + 2 * ks);

/** What each dose really pulls, per cent: with u = Σ dose ÷ D, dose·(1 − exp(−u)) ÷ u, so that more and more does less. */
export function effectiveDoses(doses: readonly Dosed[]): number[] {
  const u = doses.reduce((sum, { dose, colourant: { levelling } }) => sum + dose / levelling, 0);
  const share = u > 0 ? (1 - Math.exp(-u)) / u : 1;
  return doses.map(({ dose }) => dose * share);
}

/**
 * What a base becomes with some pigments in it, cured and dry, by their doses in per cent of the binder. Single-constant
 * Kubelka–Munk, band by band: K/S = (K/S_base + Σ s·e·K/S_p) ÷ (1 + Σ s·e), e the effective dose ÷ 100.
 */
export function tinter(base: Spectrum, colourants: readonly Colourant[]): (doses: readonly number[]) => Spectrum {
  const own = base.map(absorptionOf);
  const theirs = colourants.map(({ spectrum }) => spectrum.map(absorptionOf));
  return (doses) => {
    const effective = effectiveDoses(colourants.map((colourant, i) => ({ colourant, dose: doses[i]! })));
    const pulls = colourants.map(({ strength }, i) => (strength * effective[i]!) / 100);
    const whole = 1 + pulls.reduce((sum, pull) => sum + pull, 0);
    return own.map((ks, band) =>
      reflectanceOf(pulls.reduce((sum, pull, i) => sum + pull * theirs[i]![band]!, ks) / whole),
    );
  };
}

/** Reflectance of a base with pigments in it, cured and dry. */
export const tintedBase = (base: Spectrum, doses: readonly Dosed[]): Spectrum =>
  tinter(
    base,
    doses.map(({ colourant }) => colourant),
  )(doses.map(({ dose }) => dose));
