/** What a mould is made of, or lined with: it decides what lets the cast go. */
export type MouldMaterial =
  'rigid-plastic' | 'wood' | 'metal' | 'card' | 'silicone' | 'latex' | 'glass' | 'sand' | 'film-lined';

export const mouldMaterials: Record<MouldMaterial, string> = {
  'rigid-plastic': 'Rigid plastic',
  wood: 'Wood or board',
  metal: 'Metal',
  card: 'Card',
  silicone: 'Silicone',
  latex: 'Latex',
  glass: 'Glass or glazed',
  sand: 'Damp sand',
  'film-lined': 'Lined with film or tape',
};

/** What lets a cast go, from the handbook's table: a default that the caster may change. */
export type ReleaseName = 'oil' | 'wax' | 'petroleum-jelly' | 'soap' | 'silicone-spray' | 'film' | 'none';

export interface Release {
  readonly name: string;
  /** What it does to the cast. */
  readonly does: string;
  /** How it is put on. */
  readonly how: string;
  /** Minutes from putting it on to pouring. */
  readonly dries: number;
}

export const releases: Record<ReleaseName, Release> = {
  oil: {
    name: 'Plant or mineral oil, thin',
    does: 'Frees well; where it pools it traps air, and some kitchen sprays stain.',
    how: 'Wipe it on thin, wipe the pools out.',
    dries: 5,
  },
  wax: {
    name: 'Paste wax, buffed',
    does: 'The cleanest face on rigid plastic.',
    how: 'Rub it on, let it dry 15 to 30 minutes, buff it.',
    dries: 25,
  },
  'petroleum-jelly': {
    name: 'Petroleum jelly',
    does: 'Best on pipes and plugs; forgives late pulling.',
    how: 'A thin coat all over.',
    dries: 0,
  },
  soap: {
    name: 'Soap film',
    does: 'Seals card and board so that they let go.',
    how: 'Brush on, let it dry, brush again.',
    dries: 20,
  },
  'silicone-spray': {
    name: 'Silicone spray',
    does: 'Frees rigid plastic, but spoils later paint and sealer.',
    how: 'One light pass; never before painting.',
    dries: 5,
  },
  film: {
    name: 'Film or tape',
    does: 'Frees from anything and prints its folds.',
    how: 'Stretch it smooth, tape the edges.',
    dries: 0,
  },
  none: { name: 'None', does: 'Silicone and latex let go by themselves.', how: 'Dust it out and pour.', dries: 0 },
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
