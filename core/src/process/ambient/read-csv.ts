import { defined } from '../../foundation/math/index.js';
import Papa from 'papaparse';
import { InputError, msg, anyOf, type Message } from '../../foundation/units/index.js';
import { numberOf, orderOfDay, timeOf, type DateOrder } from './csv-values.js';
import type { AmbientReading } from './readings.js';

/** How a file of readings is to be read where it does not say so itself. */
export interface CsvWays {
  /** IANA name of the zone that its clock was set to. */
  readonly zone: string;
  /** Whether the day comes before the month where a date could be read both ways. */
  readonly order: DateOrder;
}

/** A file of readings as it was understood. */
export interface CsvRead {
  readonly readings: readonly AmbientReading[];
  /** Rows that tell nothing, by their number in the file, and why. */
  readonly unread: readonly { readonly row: number; readonly why: Message }[];
  /** How it was understood, as sentences. */
  readonly notes: readonly Message[];
}

type Column = 'time' | 'clock' | 'temperature' | 'humidity' | 'wind';

/** What heads of columns are called, by the first word that fits. */
const heads: readonly (readonly [Column, RegExp])[] = [
  ['temperature', /temp|°c|°f|\bcelsius|\bfahrenheit/i],
  ['humidity', /hum|\brh\b|feucht/i],
  ['wind', /wind/i],
  ['time', /date|time|stamp|when|datum|zeit/i],
];

const KMH: readonly (readonly [RegExp, number, string])[] = [
  [/m\/s/i, 3.6, 'm/s'],
  [/mph|mi\/h/i, 1.609344, 'mph'],
  [/kn\b|knots/i, 1.852, 'knots'],
];

const MOST_ROWS = 200_000;

const refuse = (value: unknown, message: Message, remedy: Message) =>
  new InputError([{ field: 'file', value, message, remedy }]);

function columnsOf(head: readonly string[]): Map<Column, number> {
  const found = new Map<Column, number>();
  head.forEach((name, i) => {
    const [column] = heads.find(([, fits]) => fits.test(name)) ?? [];
    if (column === 'time' && found.has('time')) found.set('clock', found.get('clock') ?? i);
    else if (column && !found.has(column)) found.set(column, i);
  });
  const missing = (['time', 'temperature'] as const).filter((column) => !found.has(column));
  if (missing.length > 0)
    throw refuse(
      head.join(', ').slice(0, 120),
      msg('ambient.columnMissing', { missing: anyOf(missing) }),
      msg('ambient.nameColumns'),
    );
  return found;
}

/** Whether temperatures are in Fahrenheit: by the head, or since air of a workshop does not lie so high day and night. */
function inFahrenheit(head: string, values: readonly number[]): boolean {
  if (/°\s?f|\bf\b|fahrenheit/i.test(head)) return true;
  if (/°\s?c|\bc\b|celsius/i.test(head)) return false;
  const sorted = [...values].sort((a, b) => a - b);
  return (sorted[sorted.length >> 1] ?? 0) > 45;
}

function rowsOf(text: string): string[][] {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  if (data.length < 2) throw refuse(text.slice(0, 40), msg('ambient.noReading'), msg('ambient.chooseCsv'));
  if (data.length - 1 > MOST_ROWS)
    throw refuse(
      data.length - 1,
      msg('ambient.rows', { data: data.length - 1 }),
      msg('ambient.mostRows', { mostRows: MOST_ROWS }),
    );
  return data;
}

/** The figures of a column in our unit, by row; NaN where none stands. */
function columnOf(rows: readonly string[][], at: number | undefined): number[] | undefined {
  return at === undefined ? undefined : rows.map((row) => numberOf(row[at] ?? ''));
}

/**
 * Reads a logger's file: columns by the names in its first line, commas or points for decimals, °C or °F, humidity in % or
 * as a share, wind in km/h, m/s, mph or knots, dates of any usual order, clocks that go by daylight saving.
 * @throws InputError where it has no such columns or no rows
 */
export function readAmbientCsv(text: string, { zone, order }: CsvWays): CsvRead {
  const [head, ...rows] = rowsOf(text) as [string[], ...string[][]];
  const columns = columnsOf(head);
  const notes: Message[] = [];
  const [timeAt, clockAt] = [defined(columns.get('time')), columns.get('clock')];
  const stamps = rows.map((row) => [row[timeAt], clockAt === undefined ? '' : row[clockAt]].join(' ').trim());
  const { dates, told } = orderOfDay(stamps, order);
  if (told) notes.push(told);
  if (rows.some((row) => /\d,\d/.test(row[defined(columns.get('temperature'))] ?? '')))
    notes.push(msg('ambient.decimalCommas'));

  const raw = defined(columnOf(rows, columns.get('temperature')));
  const fahrenheit = inFahrenheit(defined(head[defined(columns.get('temperature'))]), raw.filter(Number.isFinite));
  if (fahrenheit) notes.push(msg('ambient.fahrenheit'));
  const damp = columnOf(rows, columns.get('humidity'));
  const percent = damp?.some((value) => value > 1.5);
  const wind = columnOf(rows, columns.get('wind'));
  const [, speed, unit] = KMH.find(([fits]) => fits.test(head[columns.get('wind') ?? -1] ?? '')) ?? [undefined, 1, ''];
  if (unit) notes.push(msg('ambient.windUnit', { unit }));

  const readings: AmbientReading[] = [];
  const unread: { row: number; why: Message }[] = [];
  let before = -Infinity;
  let back = 0;
  stamps.forEach((stamp, i) => {
    const row = i + 2;
    const when = timeOf(stamp, dates, zone, before);
    if (typeof when !== 'number') return void unread.push({ row, why: when });
    if (!Number.isFinite(raw[i]))
      return void unread.push({
        row,
        why: msg('ambient.notTemperature', { text: defined(rows[i])[defined(columns.get('temperature'))] ?? '' }),
      });
    if (when < before) back += 1;
    before = when;
    readings.push({
      at: when,
      temperature: fahrenheit ? Math.round(((defined(raw[i]) - 32) / 1.8) * 100) / 100 : defined(raw[i]),
      ...(damp && Number.isFinite(damp[i]) && { humidity: percent ? defined(damp[i]) / 100 : defined(damp[i]) }),
      ...(wind && Number.isFinite(wind[i]) && { wind: defined(wind[i]) * speed }),
    });
  });
  if (back > 0) notes.push(msg('ambient.clockBack', { back }));
  return { readings, unread, notes };
}
