import { msg, type Message, exactly } from '../../foundation/units/index.js';
import type { OutcomeOf } from './outcomes.js';
import type { SimulationChoices, SimulationPiece } from './simulate.js';

/** Pieces to simulate with, as their moulds and mixes make them. */
export const simulationPieces = {
  pot: {
    name: msg('simulation.samplePot', { volume: exactly(2000, 'mL') }),
    binderClass: 'portland',
    lightweight: false,
    dry: 4100,
    loss: 240,
    area: 210_000,
    strength: 30,
    demouldAge: 24,
  },
  trough: {
    name: msg('simulation.sampleTrough', { volume: exactly(9000, 'mL') }),
    binderClass: 'portland',
    lightweight: true,
    dry: 9800,
    loss: 1500,
    area: 560_000,
    strength: 8,
    demouldAge: 60,
  },
  slab: {
    name: msg('simulation.sampleStone', { thickness: exactly(40, 'mm') }),
    binderClass: 'portland',
    lightweight: false,
    dry: 8600,
    loss: 430,
    area: 260_000,
    strength: 27,
    demouldAge: 20,
  },
  jar: {
    name: msg('simulation.sampleJar'),
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
  readonly name: Message;
  readonly piece: SimulationPieceKey;
  /** What stands there. */
  readonly scene: Message;
  readonly asks: Message;
  /** As most would do it. */
  readonly start: SimulationChoices;
  /** What the learner may choose. */
  readonly open: readonly (keyof SimulationChoices)[];
  /** What must come out good for it to be learned. */
  readonly learned: readonly OutcomeOf[];
  /** What it shows, told at the end. */
  readonly moral: Message;
}

const DAY = 24;

export const lessons: Record<LessonKey, Lesson> = {
  heatwave: {
    name: msg('simulation.heatwave'),
    piece: 'slab',
    scene: msg('simulation.heatwaveSetting', { heat: exactly(35, '°C') }),
    asks: msg('simulation.heatwaveQuestion'),
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
    moral: msg('simulation.heatwaveLesson'),
  },
  'cold shed': {
    name: msg('simulation.coldShed'),
    piece: 'pot',
    scene: msg('simulation.coldShedSetting', { cold: exactly(3, '°C') }),
    asks: msg('simulation.coldShedQuestion'),
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
    moral: msg('simulation.coldShedLesson', { cold: exactly(3, '°C'), strength: exactly(3.5, 'MPa') }),
  },
  'sealed too soon': {
    name: msg('simulation.sealedTooSoon'),
    piece: 'jar',
    scene: msg('simulation.sealedTooSoonSetting'),
    asks: msg('simulation.sealedTooSoonQuestion'),
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
    moral: msg('simulation.sealedTooSoonLesson'),
  },
  'lightweight left bare': {
    name: msg('simulation.lightBare'),
    piece: 'trough',
    scene: msg('simulation.lightBareSetting'),
    asks: msg('simulation.lightBareQuestion'),
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
    moral: msg('simulation.lightBareLesson'),
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
