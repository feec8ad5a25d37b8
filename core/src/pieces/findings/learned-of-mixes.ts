import type { Figure, Unit } from '../../foundation/units/index.js';
import type { KeptMix } from '../../mixing/mixes/index.js';
import type { MixLesson, RunLesson } from '../../process/planning/index.js';
import { windowFactor, WORK_TIMES } from '../../process/pours/index.js';
import {
  learnedBy,
  shrunkenFigure,
  taughtOf,
  type LearnedFigure,
  type LearnedKind,
  type LessonRecord,
  type Shown,
  type Since,
} from './learned-figure.js';

/** Mixes, and the pours that may have taught of them. */
export interface PouredMixes {
  readonly mixes: readonly Pick<KeptMix, 'id' | 'name' | 'binderClass'>[];
  readonly pours: readonly PourTaught[];
}

/** A pour that is done, and what it taught of each of its mixes. */
interface PourTaught {
  readonly id: string;
  readonly number: number;
  /** ms */
  readonly at: number;
  readonly taught: readonly MixLesson[];
  readonly runs: readonly RunLesson[];
}

const ofPours = (pours: readonly PourTaught[], shows: (pour: PourTaught) => number | undefined): Shown[] =>
  pours.flatMap((pour) => {
    const shown = shows(pour);
    return shown === undefined ? [] : [{ id: pour.id, label: String(pour.number), at: pour.at, shows: shown }];
  });

/** What pours taught of each mix, and what the bench did with it. */
export function learnedOfMixes({ mixes, pours }: PouredMixes, since: Since): LearnedFigure[] {
  return mixes.flatMap(({ id, name, binderClass }) => {
    const subject = { of: [id], names: [name] };
    const usual = WORK_TIMES[binderClass];
    const lessonOf = ({ taught }: PourTaught) => taught.find(({ mixId }) => mixId === id);
    const paceOf = ({ runs }: PourTaught) => runs.find(({ mixId }) => mixId === id)?.pace;
    const shrunken = (kind: LearnedKind, handbook: number, unit: Unit, shows: Parameters<typeof ofPours>[1]) =>
      taughtOf(kind, subject, ofPours(pours, shows), since, {
        handbook,
        figure: (records) => shrunkenFigure(handbook, unit, records),
      });
    const minutes = (kind: 'mixing' | 'filling') =>
      shrunken(kind, usual[kind], 'min', (pour) => {
        const ratio = paceOf(pour)?.[kind];
        return ratio === undefined ? undefined : ratio * usual[kind];
      });
    return [
      ...shrunken('water', 1, 'ratio', (pour) => lessonOf(pour)?.demand),
      ...shrunken('yield', 1, 'ratio', (pour) => lessonOf(pour)?.yield),
      ...minutes('mixing'),
      ...minutes('filling'),
      ...windowsOf(pours, id, (shown, figure) => taughtOf('windows', subject, shown, since, { handbook: 1, figure })),
    ];
  });
}

/** By how much a mix's windows come later: by every try of the pours that count. */
function windowsOf(
  pours: readonly PourTaught[],
  mixId: string,
  told: (shown: readonly Shown[], figure: (records: readonly LessonRecord[]) => Figure) => LearnedFigure[],
): LearnedFigure[] {
  const tried = pours.flatMap((pour) => {
    const tries = pour.runs.flatMap((run) => (run.mixId === mixId ? run.tries : []));
    return tries.length === 0 ? [] : [{ id: pour.id, label: String(pour.number), at: pour.at, tries }];
  });
  const shown = tried.map(({ tries: _, ...record }) => record);
  return told(shown, (records) => {
    const counting = new Set(records.flatMap(({ id, counts }) => (counts ? [id] : [])));
    const tries = tried.flatMap((pour) => (counting.has(pour.id) ? pour.tries : []));
    return learnedBy(windowFactor(tries), 1, 'ratio', tries.length);
  });
}
