import { msg, type Message } from '../../foundation/units/index.js';
/** What a mould is made of, or lined with: it decides what lets the cast go. */
export type MouldMaterial =
  'rigid-plastic' | 'wood' | 'metal' | 'card' | 'silicone' | 'latex' | 'glass' | 'sand' | 'film-lined';

export const mouldMaterials: Record<MouldMaterial, Message> = {
  'rigid-plastic': msg('moulds.rigidPlastic'),
  wood: msg('moulds.wood'),
  metal: msg('moulds.metal'),
  card: msg('moulds.card'),
  silicone: msg('moulds.silicone'),
  latex: msg('moulds.latex'),
  glass: msg('moulds.glass'),
  sand: msg('moulds.dampSand'),
  'film-lined': msg('moulds.filmLined'),
};

/** What lets a cast go, from the handbook's table: a default that the caster may change. */
export type ReleaseName = 'oil' | 'wax' | 'petroleum-jelly' | 'soap' | 'silicone-spray' | 'film' | 'none';

export interface Release {
  readonly name: Message;
  /** What it does to the cast. */
  readonly does: Message;
  /** How it is put on. */
  readonly how: Message;
  /** Minutes from putting it on to pouring. */
  readonly dries: number;
}

export const releases: Record<ReleaseName, Release> = {
  oil: {
    name: msg('moulds.oil'),
    does: msg('moulds.oilDoes'),
    how: msg('moulds.oilHow'),
    dries: 5,
  },
  wax: {
    name: msg('moulds.pasteWax'),
    does: msg('moulds.waxDoes'),
    how: msg('moulds.waxHow'),
    dries: 25,
  },
  'petroleum-jelly': {
    name: msg('moulds.petroleumJelly'),
    does: msg('moulds.jellyDoes'),
    how: msg('moulds.jellyHow'),
    dries: 0,
  },
  soap: {
    name: msg('moulds.soapFilm'),
    does: msg('moulds.soapDoes'),
    how: msg('moulds.soapHow'),
    dries: 20,
  },
  'silicone-spray': {
    name: msg('moulds.siliconeSpray'),
    does: msg('moulds.sprayDoes'),
    how: msg('moulds.sprayHow'),
    dries: 5,
  },
  film: {
    name: msg('moulds.filmOrTape'),
    does: msg('moulds.filmDoes'),
    how: msg('moulds.filmHow'),
    dries: 0,
  },
  none: { name: msg('moulds.noRelease'), does: msg('moulds.noReleaseDoes'), how: msg('moulds.noReleaseHow'), dries: 0 },
};

/** Releases that suit each material, the default first. */
const suits: Record<MouldMaterial, readonly ReleaseName[]> = {
  'rigid-plastic': ['wax', 'oil', 'silicone-spray', 'film'],
  wood: ['oil', 'film', 'wax'],
  metal: ['oil', 'wax', 'film'],
  card: ['soap', 'film'],
  silicone: ['none'],
  latex: ['none'],
  glass: ['wax', 'petroleum-jelly', 'film'],
  sand: ['film', 'none'],
  'film-lined': ['none', 'oil'],
};

/** What to put on a mould, best first. Pipes, plugs and dowels want petroleum jelly whatever the mould is. */
export function releasesFor(material: MouldMaterial): readonly ReleaseName[] {
  return suits[material];
}

/** Names by which casters call what they put on, beside the handbook's own. */
const called: Readonly<Record<string, ReleaseName>> = {
  'paste wax': 'wax',
  'plant oil': 'oil',
  'mineral oil': 'oil',
  'petroleum jelly': 'petroleum-jelly',
  'silicone spray': 'silicone-spray',
};

/** The release that a word stands for; undefined for one that is not known, or where none is said. */
export function releaseCalled(word: string | undefined): ReleaseName | undefined {
  if (word === undefined) return undefined;
  return called[word] ?? (word in releases ? (word as ReleaseName) : undefined);
}
