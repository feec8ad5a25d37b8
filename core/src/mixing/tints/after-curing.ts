/** A way to colour a piece once it has cured. */
export interface AfterCure {
  readonly key: 'dye' | 'wash' | 'powder' | 'foil';
  readonly name: string;
  readonly gives: string;
  /** How dry the piece must be. */
  readonly dryness: 'damp' | 'dry';
  /** Where it stands to the sealer. */
  readonly sealer: string;
  readonly steps: readonly string[];
  readonly caution: string;
}

/** Colour that comes after the cure, with its order to the sealer. */
export const afterCure: readonly AfterCure[] = [
  {
    key: 'dye',
    name: 'Dye bath',
    gives: 'clouded, deepest where the face is open; no two alike',
    dryness: 'damp',
    sealer: 'before any sealer, which would keep it out',
    steps: [
      'Cure it fully, and brush off dust and bloom.',
      'Wet it evenly, so that it drinks evenly.',
      'Lay it in the bath, turn it, and lift a corner to look: it is paler when dry.',
      'Rinse, let it dry for days, then seal.',
    ],
    caution: 'Dyes stain skin and drains: gloves, goggles, and keep the bath for the next piece.',
  },
  {
    key: 'wash',
    name: 'Thin wash',
    gives: 'colour in the hollows, the high places wiped bare',
    dryness: 'dry',
    sealer: 'under the sealer',
    steps: [
      'Thin paint or pigment in water to the thickness of milk.',
      'Brush it into all hollows, one side at a time.',
      'Wipe the high places with a damp cloth before it dries.',
      'Let it dry, look in daylight, then seal.',
    ],
    caution: 'Pigment dust: stir it into the water, do not shake it.',
  },
  {
    key: 'powder',
    name: 'Rubbed powder',
    gives: 'a glint or a bloom on edges and relief',
    dryness: 'dry',
    sealer: 'under a sprayed sealer: a brush would lift it',
    steps: [
      'Dip a dry finger or a soft brush, and knock off the most.',
      'Rub it along the edges, little by little.',
      'Spray a first thin coat over it, and only then brush.',
    ],
    caution: 'Fine metal and mica dust: mask on, no draught, nothing burning near.',
  },
  {
    key: 'foil',
    name: 'Foil',
    gives: 'bright metal on the cured face',
    dryness: 'dry',
    sealer: 'over a first coat that closes the pores, and under a last clear one',
    steps: [
      'Close the pores with one thin coat, and let it dry.',
      'Brush on the size, and wait until it is just tacky.',
      'Lay the foil, press it with a soft brush, sweep off what is loose.',
      'Seal it thinly.',
    ],
    caution: 'Never in the mould: cement eats it, or it stays behind when the piece comes out.',
  },
];
