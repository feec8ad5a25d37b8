import type { OutcomeOf } from './outcomes.js';
import type { SimulationChoices, SimulationPiece } from './simulate.js';

/** Pieces to simulate with, as their moulds and mixes make them. */
export const simulationPieces = {
  pot: {
    name: 'A sand-cement pot, 2 L',
    binderClass: 'portland',
    lightweight: false,
    dry: 4100,
    loss: 240,
    area: 210_000,
    strength: 30,
    demouldAge: 24,
  },
  trough: {
    name: 'A lightweight trough, 9 L',
    binderClass: 'portland',
    lightweight: true,
    dry: 9800,
    loss: 1500,
    area: 560_000,
    strength: 8,
    demouldAge: 60,
  },
  slab: {
    name: 'A stepping stone, 40 mm',
    binderClass: 'portland',
    lightweight: false,
    dry: 8600,
    loss: 430,
    area: 260_000,
    strength: 27,
    demouldAge: 20,
  },
  jar: {
    name: 'A small fast-setting jar',
    binderClass: 'fast-setting',
    lightweight: false,
    dry: 420,
    loss: 22,
    area: 48_000,
    strength: 35,
    demouldAge: 2.5,
  },
} as const satisfies Record<string, SimulationPiece>;

export type SimulationPieceKey = keyof typeof simulationPieces;
export type LessonKey = 'heatwave' | 'cold shed' | 'sealed too soon' | 'lightweight left bare';

/** A set lesson: a day that goes wrong as most would do it, and what the learner may change. */
export interface Lesson {
  readonly name: string;
  readonly piece: SimulationPieceKey;
  /** What stands there. */
  readonly scene: string;
  readonly asks: string;
  /** As most would do it. */
  readonly start: SimulationChoices;
  /** What the learner may choose. */
  readonly open: readonly (keyof SimulationChoices)[];
  /** What must come out good for it to be learned. */
  readonly learned: readonly OutcomeOf[];
  /** What it shows, told at the end. */
  readonly moral: string;
}

const DAY = 24;

export const lessons: Record<LessonKey, Lesson> = {
  heatwave: {
    name: 'Heatwave',
    piece: 'slab',
    scene: 'Thirty-five degrees in the yard and a dry wind. A stepping stone was poured at ten and lies open.',
    asks: 'How do you keep its face from crazing?',
    start: {
      climate: 'heatwave',
      cover: 'none',
      demould: 20,
      uncover: 3 * DAY,
      wettings: 1,
      sealer: 'penetrating',
      coat: 24 * DAY,
    },
    open: ['cover', 'wettings', 'demould', 'uncover'],
    learned: ['faces', 'strength'],
    moral:
      'In such air an open face loses more in an hour than a wetting leaves on it. Film or a damp cloth does what no can does.',
  },
  'cold shed': {
    name: 'Cold shed',
    piece: 'pot',
    scene: 'Three degrees in the shed, frost before dawn. A pot was poured at ten, as in June.',
    asks: 'When do you lift it out, and where does it stand?',
    start: {
      climate: 'cold shed',
      cover: 'bag',
      demould: 24,
      uncover: 7 * DAY,
      wettings: 0,
      sealer: 'penetrating',
      coat: 30 * DAY,
    },
    open: ['climate', 'demould', 'uncover'],
    learned: ['demould', 'frost'],
    moral:
      'A day by the clock is a third of a day for the cement at three degrees. Frost before 3.5 MPa cannot be mended: bring it in.',
  },
  'sealed too soon': {
    name: 'Sealed too soon',
    piece: 'jar',
    scene: 'A jar stands in the cellar, looks pale and dry, and is wanted on Sunday. The film sealer stands beside it.',
    asks: 'On which day does the coat go on, and in which room?',
    start: {
      climate: 'damp cellar',
      cover: 'bag',
      demould: 3,
      uncover: 1 * DAY,
      wettings: 0,
      sealer: 'acrylic',
      coat: 4 * DAY,
    },
    open: ['climate', 'coat', 'uncover', 'sealer'],
    learned: ['sealer'],
    moral:
      'Colour tells nothing of the water within, and in a cellar it hardly leaves. Weigh it, or bring it into dry air first.',
  },
  'lightweight left bare': {
    name: 'Lightweight left bare',
    piece: 'trough',
    scene:
      'A light trough came out of its mould well after three days, and was set on the warm windowsill to “get on”.',
    asks: 'What does it want before it may dry?',
    start: {
      climate: 'warm room',
      cover: 'none',
      demould: 66,
      uncover: 66,
      wettings: 0,
      sealer: 'penetrating',
      coat: 35 * DAY,
    },
    open: ['cover', 'uncover', 'wettings', 'demould'],
    learned: ['strength', 'faces'],
    moral:
      'Light grains let its water go fast, and cement without water stops where it is. Keep it damp longest of all.',
  },
};

/** Over the handbook's age at 20 °C: a mild shed is somewhat colder, and a clean demoulding wants some to spare. */
const LIFT_OUT_WITH = 4 / 3;

/** What goes well with a piece in a mild shed: where a learner begins. */
export const usualChoices = ({ demouldAge }: Pick<SimulationPiece, 'demouldAge'>): SimulationChoices => ({
  climate: 'mild shed',
  cover: 'bag',
  demould: Math.ceil(LIFT_OUT_WITH * demouldAge),
  uncover: 12 * DAY,
  wettings: 0,
  sealer: 'penetrating',
  coat: 30 * DAY,
});
