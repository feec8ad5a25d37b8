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
 * Reflectance of a base with pigments in it, cured and dry. Single-constant Kubelka–Munk, band by band:
 * K/S = (K/S_base + Σ s·e·K/S_p) ÷ (1 + Σ s·e), e the effective dose ÷ 100.
 */
export function tintedBase(base: Spectrum, doses: readonly Dosed[]): Spectrum {
  const effective = effectiveDoses(doses);
  const pulls = doses.map(({ colourant: { strength } }, i) => (strength * effective[i]!) / 100);
  const whole = 1 + pulls.reduce((sum, pull) => sum + pull, 0);
  return base.map((dry, band) => {
    const ks = doses.reduce(
      (sum, { colourant: { spectrum } }, i) => sum + pulls[i]! * absorptionOf(spectrum[band]!),
      absorptionOf(dry),
    );
    return reflectanceOf(ks / whole);
  });
}
