import { defined } from '../../foundation/math/index.js';
import { circumstanceKeys, type Circumstance } from './circumstances.js';
import { measures, wayKinds, type FindingRecord, type Measure, type WayKind } from './finding-record.js';

/** The ways of one kind: their names, and by which of them each record was made; −1 where that is not known. */
export interface WayColumn {
  readonly names: readonly string[];
  readonly codes: Int32Array;
}

/** Records as columns, since thousands of them are gone through for every circumstance, way and measure. NaN stands for what is not on record. */
export interface FindingColumns {
  readonly records: readonly FindingRecord[];
  readonly under: Readonly<Record<Circumstance, Float64Array>>;
  readonly measured: Readonly<Record<Measure, Float64Array>>;
  readonly ways: Readonly<Record<WayKind, WayColumn>>;
}

/** A column of numbers for each key. */
function numbersOf<Key extends string>(
  keys: readonly Key[],
  records: readonly FindingRecord[],
  of: (record: FindingRecord) => Readonly<Partial<Record<Key, number | { readonly value: number }>>>,
): Record<Key, Float64Array> {
  const columns = Object.fromEntries(keys.map((key) => [key, new Float64Array(records.length).fill(NaN)])) as Record<Key, Float64Array>; // prettier-ignore
  records.forEach((record, row) => {
    const known = of(record);
    for (const key in known) {
      const one = known[key];
      if (one !== undefined) columns[key][row] = typeof one === 'number' ? one : one.value;
    }
  });
  return columns;
}

function waysOf(kind: WayKind, records: readonly FindingRecord[]): WayColumn {
  const known = new Map<string, number>();
  const codes = Int32Array.from(records, ({ ways }) => {
    const way = ways[kind];
    if (way === undefined) return -1;
    if (!known.has(way)) known.set(way, known.size);
    return defined(known.get(way));
  });
  return { names: [...known.keys()], codes };
}

/** Records as columns. */
export const findingColumns = (records: readonly FindingRecord[]): FindingColumns => ({
  records,
  under: numbersOf(circumstanceKeys, records, ({ under }) => under),
  measured: numbersOf(measures, records, ({ measured }) => measured),
  ways: Object.fromEntries(wayKinds.map((kind) => [kind, waysOf(kind, records)])) as Record<WayKind, WayColumn>,
});

/** What is on record in a column, of some of its rows. */
export function valuesAt(column: Float64Array, rows: readonly number[]): number[] {
  const values: number[] = [];
  for (const row of rows) {
    const value = defined(column[row]);
    if (!Number.isNaN(value)) values.push(value);
  }
  return values;
}
