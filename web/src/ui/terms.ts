/** A word of the trade that not everybody knows, and what it means in plain words. */
export interface Term {
  readonly name: string;
  /** In one sentence. */
  readonly meaning: string;
  /** What it is good for, or what to do about it. */
  readonly use: string;
}

/** Words of the trade, by their keys. */
export const terms = {
  absorption: {
    name: 'Absorption',
    meaning: 'How much water the grains of a material soak up, as a share of their dry mass.',
    use: 'That water does not thin the paste. Porous grains are wetted before, or they drink it from the mix.',
  },
  ballast: {
    name: 'Core ballast',
    meaning: 'The load that keeps a core from floating while the mix around it is fluid.',
    use: 'A core floats like a boat: it needs as much mass as the mix that it pushes aside, less its own.',
  },
  binder: {
    name: 'Binder',
    meaning: 'What hardens and holds the grains together: cement with what replaces a part of it, or gypsum.',
    use: 'Pigments and additives are dosed on the mass of the binder.',
  },
  bulking: {
    name: 'Bulking',
    meaning: 'Damp sand takes more room than dry sand, because water holds its grains apart.',
    use: 'A scoop of damp sand holds less sand. Tell how damp it is, and the scoops are corrected.',
  },
  'cold-joint': {
    name: 'Cold joint',
    meaning: 'The seam between two layers where the lower one had set before the upper one came.',
    use: 'It is weak and lets water through. Place the next layer in time, or scratch, dampen and brush on a bond coat.',
  },
  consistency: {
    name: 'Consistency',
    meaning: 'How wet a mix is, in seven grades from damp sand to soup.',
    use: 'Pressed pieces want it stiff, thin walls and letters want it fluid. Wetter is weaker.',
  },
  draft: {
    name: 'Draft',
    meaning: 'The slope of a wall, so that the piece slides out of the mould, and the core out of the piece.',
    use: 'Without it a rigid core jams as the piece shrinks.',
  },
  efflorescence: {
    name: 'Efflorescence',
    meaning: 'White salts that water carries to the face of a piece. They are no mildew.',
    use: 'Brush them off dry. They stop by themselves; less water and longer moist curing keep them down.',
  },
  'equivalent-age': {
    name: 'Equivalent age',
    meaning: 'How old a piece would be, had it lain at 20 °C all the time. Cold makes it younger, warmth older.',
    use: 'Strength and the time of demoulding go by it, and not by the clock.',
  },
  evaporation: {
    name: 'Evaporation rate',
    meaning: 'How much water leaves a wet face in an hour, by heat, dry air and wind.',
    use: 'Over 0.5 kg/m² in an hour cover thin and light pieces, over 1.0 every open face: young faces crack.',
  },
  'fresh-density': {
    name: 'Fresh density',
    meaning: 'What a litre of the mix weighs as it goes into the mould.',
    use: 'Times the volume of the mould it is what you lift.',
  },
  'moist-curing': {
    name: 'Moist curing',
    meaning: 'Keeping a cast wet after it is demoulded, so that the cement goes on hardening.',
    use: 'A piece that dries in the first days stays weak and dusty, for good.',
  },
  'pot-life': {
    name: 'Pot life',
    meaning: 'How long a mix can be placed, from the moment the water is in.',
    use: 'It is shorter when it is warm. More water does not bring it back.',
  },
  'recoat-window': {
    name: 'Recoat window',
    meaning: 'The time in which the next coat of sealer bonds to the one below.',
    use: 'Earlier it lifts the coat below, later it does not hold. After the window, wet-sand until matt.',
  },
  'release-agent': {
    name: 'Release agent',
    meaning: 'What is put on the mould so that the cast does not stick to it.',
    use: 'Little of it, everywhere. A rest of it keeps sealer and paint from holding.',
  },
  set: {
    name: 'Initial set',
    meaning: 'When a mix stops flowing and starts to hold its form. It is not strong yet.',
    use: 'Edges are drawn about then, and pipes and plugs are turned and pulled.',
  },
  strength: {
    name: 'Strength, % of 28-day',
    meaning: 'How far a piece has come on the way to the strength that it has after four weeks at 20 °C.',
    use: 'It is safe from frost above 3.5 MPa, and ready for most uses at 70 %.',
  },
  undercut: {
    name: 'Undercut',
    meaning: 'A place where the mould is wider below than above, so that the piece is locked in.',
    use: 'A flexible mould stretches over it, a take-apart mould opens. A rigid one needs a split.',
  },
  'water-cement': {
    name: 'Water–cement ratio (w/c)',
    meaning: 'The mass of the water that is free in the mix, divided by the mass of the cement.',
    use: 'The lower it is, the stronger and denser the piece. It stays under 0.65 outdoors, and under 0.5 in frost.',
  },
  'yield-factor': {
    name: 'Yield factor',
    meaning:
      'How much mix comes of the materials as they are scooped: the small grains fill the room between the large ones.',
    use: 'Ten litres of dry scoops make about seven litres of mix.',
  },
} as const satisfies Record<string, Term>;

export type TermKey = keyof typeof terms;
