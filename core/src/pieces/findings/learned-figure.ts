import { mean } from '../../foundation/math/index.js';
import { figure, handbook, line, msg, type Figure, type Unit } from '../../foundation/units/index.js';
import { shrunkenMean } from '../../mixing/mixes/index.js';

/** What a workshop's own records teach in place of the handbook. */
export const learnedKinds = [
  'water',
  'yield',
  'mixing',
  'filling',
  'windows',
  'demould',
  'drying',
  'strength',
  'seal-open',
  'seal-film',
] as const;
export type LearnedKind = (typeof learnedKinds)[number];

/** Which records are forgotten together: those of a mix, of the bench with a mix, of a mould with a mix, of a pigment, of all gates. */
export const lessonGroups = ['mix', 'bench', 'demould', 'drying', 'pigment', 'sealing'] as const;
export type LessonGroup = (typeof lessonGroups)[number];

/** The group that a kind of figure is forgotten with. */
export const groupOfKind: Record<LearnedKind, LessonGroup> = {
  water: 'mix',
  yield: 'mix',
  mixing: 'bench',
  filling: 'bench',
  windows: 'bench',
  demould: 'demould',
  drying: 'drying',
  strength: 'pigment',
  'seal-open': 'sealing',
  'seal-film': 'sealing',
};

/** One record that taught, or did until it was forgotten. */
export interface LessonRecord {
  /** Key of the pour, the cast or the chip. */
  readonly id: string;
  readonly label: string;
  /** ms */
  readonly at: number;
  /** What it showed by itself, in the unit of its figure; undefined where it shows none by itself. */
  readonly shows?: number;
  /** It counts: it is later than what was forgotten. */
  readonly counts: boolean;
}

/** A figure that records taught, beside the handbook's. */
export interface LearnedFigure {
  readonly kind: LearnedKind;
  /** Keys of what it is of: the mix; the mould and the mix; the pigment; nothing for the limits of sealing. */
  readonly of: readonly string[];
  readonly names: readonly string[];
  readonly figure: Figure;
  readonly handbook: number;
  readonly records: readonly LessonRecord[];
  /** ms; from when on records count, where older ones were forgotten. */
  readonly since?: number;
}

/** How far a learned figure stands from the handbook's, as a share of it: 0.1 is a tenth more. */
export const fromHandbook = ({ figure: { value }, handbook: usual }: LearnedFigure): number => value / usual - 1;

/** From when on the records of something count, ms. */
export interface LessonsSince {
  readonly group: LessonGroup;
  readonly of: readonly string[];
  readonly since: number;
}

/** Answers from when on the records of something count, ms; undefined where nothing was forgotten. */
export function sinceOf(
  forgotten: readonly LessonsSince[],
): (group: LessonGroup, of: readonly string[]) => number | undefined {
  const keyed = new Map(forgotten.map(({ group, of, since }) => [[group, ...of].join(' '), since]));
  return (group, of) => keyed.get([group, ...of].join(' '));
}

/** What a record showed, before it is known whether it counts. */
export type Shown = Omit<LessonRecord, 'counts'>;

/** Records with whether they count. */
const counted = (shown: readonly Shown[], since = 0): LessonRecord[] =>
  shown.map((one) => ({ ...one, counts: one.at >= since }));

/** What of records counts, as it was shown. */
const showing = (records: readonly LessonRecord[]): number[] =>
  records.flatMap(({ counts, shows }) => (counts && shows !== undefined ? [shows] : []));

/** A figure as the shrunken mean of what records showed against the handbook's. Handbook section 7: weight n/(n + 3). */
export function shrunkenFigure(usual: number, unit: Unit, records: readonly LessonRecord[]): Figure {
  const shown = showing(records);
  if (shown.length === 0) return figure(usual, unit, handbook, [line(msg('findings.byHandbook'), usual, unit)]);
  const value = usual * shrunkenMean(shown.map((one) => one / usual)).factor;
  return figure(value, unit, { kind: 'learned', records: shown.length }, [
    line(msg('findings.byHandbook'), usual, unit),
    line(msg('findings.meanOfRecords', { records: shown.length }), mean(shown), unit),
    line(msg('findings.drawnToHandbook'), value, unit),
  ]);
}

/** A figure of which only the outcome is told, and how many records it rests on. */
export function learnedBy(value: number, usual: number, unit: Figure['unit'], records: number): Figure {
  return figure(value, unit, records === 0 ? handbook : { kind: 'learned', records }, [
    line(msg('findings.byHandbook'), usual, unit),
    line(msg('findings.byRecords', { records }), value, unit),
  ]);
}

/** Says from when on the records of something count. */
export type Since = ReturnType<typeof sinceOf>;

/** A figure of a kind, out of what its records showed; none where there are no records. */
export function taughtOf(
  kind: LearnedKind,
  subject: Pick<LearnedFigure, 'of' | 'names'>,
  shown: readonly Shown[],
  since: Since,
  made: { readonly handbook: number; readonly figure: (records: readonly LessonRecord[]) => Figure },
): LearnedFigure[] {
  if (shown.length === 0) return [];
  const from = since(groupOfKind[kind], subject.of);
  const records = counted(shown, from);
  return [
    {
      kind,
      ...subject,
      figure: made.figure(records),
      handbook: made.handbook,
      records,
      ...(from !== undefined && { since: from }),
    },
  ];
}
