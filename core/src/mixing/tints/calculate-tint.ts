import {
  computed,
  figure,
  line,
  type Figure,
  msg,
  listed,
  type Message,
  exactly,
  type Phrase,
} from '../../foundation/units/index.js';
import { baseInWords, type Material } from '../materials/index.js';
import {
  binderMass,
  doseWarnings,
  massesPerPart,
  isPigment,
  mixStrength,
  pigmentShare,
  type Mix,
} from '../mixes/index.js';
import type { Spectrum } from './bands.js';
import { baseOf } from './base-colour.js';
import { CHIP } from './chips.js';
import { tintedBase } from './colouring.js';
import { doubtOf, type Doubt } from './fit-strength.js';
import { baseKey, dosedAs, knownBase, knownPigment, type KnownColours } from './known-colours.js';
import { lookNames, lookOf, type Look } from './looks.js';
import { hexOf } from './spectrum.js';
import { checkTint, chipMix, linePortions, tintBaseOf, type Tint, type TintBase } from './tint.js';
import type { TintDose } from './weighed-tint.js';

/** Everything that a tint comes to. Colours as #rrggbb. */
export interface TintFigures {
  readonly dry: Spectrum;
  readonly base: Spectrum;
  readonly looks: readonly { readonly look: Look; readonly name: Message; readonly colour: string }[];
  /** Colours between which it will lie, from its pigments pulling little to pulling much. */
  readonly doubt: readonly string[];
  /** Fewest chips that any of its pigments rests on. */
  readonly chips: number;
  readonly restsOn: Message;
  /** All pigment, share of the binder. */
  readonly pigment: number;
  /** Strength left, share of that without pigment. */
  readonly strength: number;
  readonly warnings: readonly Message[];
}

/** Neighbouring chips that a band of doubt is drawn as. */
const NEIGHBOURS = 5;
/** From this consistency on metallic flakes show. */
export const METALLIC_GRADE = 6;

const between = (a: Spectrum, b: Spectrum, share: number): Spectrum => a.map((r, i) => r + (b[i]! - r) * share);

/** Colours across a band of doubt, from weak to strong. */
function neighbours({ weaker, stronger }: Doubt): string[] {
  return Array.from({ length: NEIGHBOURS }, (_, i) => hexOf(between(weaker, stronger, i / (NEIGHBOURS - 1))));
}

function restsOn(tint: Tint, known: KnownColours, measuredBase: boolean): Message {
  const untried = tint.doses.filter(({ material }) => knownPigment(material, known).fit.chips === 0);
  const base = measuredBase ? msg('tints.baseMeasured') : msg('tints.baseHandbook');
  if (tint.doses.length === 0) return msg('tints.basedOn', { base });
  if (untried.length > 0)
    return msg('tints.noChipYet', {
      untried: listed(untried.map(({ material }) => material.name)),
      base,
    });
  const chips = tint.doses.map(({ material }) => knownPigment(material, known).fit.chips);
  return msg('tints.restsOnChips', { chips: listed(chips), base });
}

/** What to beware of in a tint, as sentences. */
export function tintWarnings(doses: Tint['doses'], { family }: Pick<Material, 'family'> = {}): Message[] {
  const found = doseWarnings(doses);
  for (const { material } of doses) {
    if (material.tinting?.fades) found.push(msg('tints.fades', { material: material.name }));
    if (material.tinting?.metallic) found.push(msg('tints.metallicThin', { material: material.name }));
    if (material.additive === 'paint' && family === 'lime')
      found.push(msg('tints.sealsLime', { material: material.name }));
  }
  return found;
}

/**
 * A tint as it looks fresh, dry, wet and sealed, with its doubt, what it rests on, and what it costs in strength.
 * @throws InputError on doses past the hard stop, or colours that are not known
 */
export function calculateTint(tint: Tint, known: KnownColours): TintFigures {
  checkTint(tint);
  const { spectrum: base, measured } = knownBase(tint.base, known);
  const doses = tint.doses.map((dose) => ({
    ...dosedAs(dose, known),
    chips: knownPigment(dose.material, known).fit.chips,
  }));
  const dry = tintedBase(base, doses);
  const pigment = pigmentShare(tint.doses);
  const plain = { ratio: 0.5, lightShare: 0, air: 0.02 };
  return {
    dry,
    base,
    looks: (Object.keys(lookNames) as Look[]).map((look) => ({
      look,
      name: lookNames[look],
      colour: hexOf(lookOf(dry, look)),
    })),
    doubt: tint.doses.length === 0 ? [hexOf(dry)] : neighbours(doubtOf(base, doses)),
    chips: Math.min(...doses.map(({ chips }) => chips), Infinity),
    restsOn: restsOn(tint, known, measured),
    pigment,
    strength: mixStrength({ ...plain, pigment }) / mixStrength(plain),
    warnings: tintWarnings(tint.doses, tint.base.binder),
  };
}

/** Doses of a tint as they are weighed, per cent of the binder. */
export const tintDoses = ({ doses }: Tint, known: KnownColours): TintDose[] =>
  doses.map((dose) => ({ name: dose.material.name, ...dosedAs(dose, known) }));

/** Binder in a litre of the fresh mix that chips are cast from, g: what doses are calculated on. */
export function binderPerLitre(base: TintBase): number {
  const batch = massesPerPart(chipMix(base), { moistCuringDays: 7 });
  return (binderMass(batch.portions) / batch.volume) * 1000;
}

/** Grams of everything in one small chip on a base, with how they come about. */
export interface ChipGrams {
  readonly binder: Figure;
  readonly sand?: Figure;
  readonly water: Figure;
  readonly pigments: readonly Figure[];
}

/** What goes into one chip of `volume` mL (the handbook's 60 × 40 × 8 mm where it is left out). @throws InputError */
export function chipGrams(tint: Tint, volume = CHIP): ChipGrams {
  checkTint(tint);
  const batch = massesPerPart(chipMix(tint.base, tint.doses), { moistCuringDays: 7 });
  const share = volume / batch.volume;
  const gram = (label: Phrase, mass: number, how: Phrase) =>
    figure(mass * share, 'g', computed, [
      line(msg('tints.ofWholePart'), mass, 'g', how),
      line(msg('tints.oneChip'), volume, 'mL', '60 × 40 × 8 mm'),
      line(label, mass * share, 'g'),
    ]);
  const [binder, sand] = batch.portions;
  return {
    binder: gram(binder!.material.name, binder!.mass, msg('tints.onePart')),
    ...(sand && { sand: gram(sand.material.name, sand.mass, msg('tints.twoParts')) }),
    water: gram(msg('tints.water'), batch.totalWater - batch.liquidWater, msg('tints.byDemand')),
    pigments: batch.doses.map(({ dose: { material, amount }, mass }) =>
      gram(
        material.name,
        mass,
        msg('mixes.doseOfBase', {
          amount: exactly(Number((amount * 100).toPrecision(2)), '%'),
          base: baseInWords.binder,
        }),
      ),
    ),
  };
}

/** Reflectance of a mix without its colours: its measured base chip where there is one, else by its materials. @throws InputError */
export function mixBase(mix: Mix, known: KnownColours): Spectrum {
  const base = tintBaseOf(mix);
  return (base && known.bases.get(baseKey(base))) ?? baseOf(linePortions(mix));
}

/** How a mix dries with what colours it, as #rrggbb; `doses` in place of its own colours. @throws InputError where its colours are not known */
export function dryColour(mix: Mix, known: KnownColours, doses: Tint['doses'] = mix.doses ?? []): string {
  const colouring = doses.filter(({ material }) => isPigment(material) && material.colour);
  return hexOf(
    tintedBase(
      mixBase(mix, known),
      colouring.map((dose) => dosedAs(dose, known)),
    ),
  );
}
