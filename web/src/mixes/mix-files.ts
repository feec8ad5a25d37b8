import { type FieldIssue, type Message, fixed, msg } from '@dewpot/core/units';
import { MIX_FILE, type MaterialView, type MixView } from '@dewpot/contract';
import { parse, unparse } from 'papaparse';
import { currentKey, currentMixFile } from './old-mix-files';

/** Most rows of a table, and most characters of a file, that are read. */
const MOST_ROWS = 5000;
const MOST_CHARACTERS = 2_000_000;

/** Columns of a table of materials: numbers, and words; a dot leads into the bag's figures. */
const numbers = [
  'bulk',
  'particle',
  'absorption',
  'demand',
  'largestGrain',
  'solids',
  'powder.low',
  'powder.high',
  'powder.binderShare',
  'powder.doseShare',
  'times.potLife',
  'times.initialSet',
  'tinting.strength',
  'tinting.levelling',
  'sealer.dense',
  'sealer.porous',
  'sealer.recoatFrom',
  'sealer.recoatTo',
  'sealer.cureDays',
  'sealer.heat',
  'sealer.leastDays',
  'sealer.keepsMonths',
] as const;
const words = ['name', 'kind', 'bulking', 'family', 'additive', 'colour', 'sealer.kind'] as const;
/** What the label of a sealer claims, in one cell. */
const CLAIMS = 'sealer.claims';
const BETWEEN = '; ';
/** What is so or not. */
const flags = ['tinting.fades', 'tinting.metallic'] as const;
/** Columns that say what a mix is, beside its lines. */
const mixWords = ['by', 'exposure', 'binderClass', 'colour', 'suits', 'unfit'] as const;
const mixNumbers = ['grade', 'moistCuringDays', 'times.potLife', 'times.initialSet'] as const;
const mixFlags = ['packed', 'colourCalculated', 'limeCounts'] as const;

type Plain = Record<string, unknown>;

const bare = ({ id: _id, version: _version, ...material }: MaterialView): Plain => ({ ...material });

function bareMix(
  { id: _id, version: _version, revision: _revision, used: _used, lines, doses = [], ...mix }: MixView,
  nameOf: (id: string) => string,
): Plain & { lines: Plain[]; doses: Plain[] } {
  return {
    ...mix,
    lines: lines.map(({ materialId, ...line }) => ({ material: nameOf(materialId), ...line })),
    doses: doses.map(({ materialId, ...dose }) => ({ material: nameOf(materialId), ...dose })),
  };
}

const named = (materials: readonly MaterialView[]) => (id: string) =>
  materials.find((material) => material.id === id)?.name ?? id;

/** Mixes and all materials as JSON, to be read again here or elsewhere. */
export function mixesJson(mixes: readonly MixView[], materials: readonly MaterialView[]): string {
  const file = {
    ...MIX_FILE,
    materials: materials.map(bare),
    mixes: mixes.map((mix) => bareMix(mix, named(materials))),
  };
  return JSON.stringify(file, null, 2);
}

/** One mix to share, with the materials that it is made of and no others. */
export function mixJson(mix: MixView, materials: readonly MaterialView[]): string {
  const used = new Set([...mix.lines, ...(mix.doses ?? [])].map(({ materialId }) => materialId));
  return mixesJson(
    [mix],
    materials.filter(({ id }) => used.has(id)),
  );
}

const at = (of: Plain, path: string) =>
  path.split('.').reduce<unknown>((value, step) => (value as Plain | undefined)?.[step], of);

/** The materials as a table. A cell that a spreadsheet could take for a formula is marked as text. */
export const materialsCsv = (materials: readonly MaterialView[]): string =>
  unparse(
    materials.map((material) => ({
      ...Object.fromEntries([...words, ...numbers, ...flags].map((key) => [key, at(bare(material), key)])),
      [CLAIMS]: material.sealer?.claims.join(BETWEEN),
    })),
    { escapeFormulae: true },
  );

/** The mixes as a table, a row for each line and each dose. */
export function mixesCsv(mixes: readonly MixView[], materials: readonly MaterialView[]): string {
  const rows = mixes.flatMap((view) => {
    const { lines, doses, ...mix } = bareMix(view, named(materials));
    const row = (of: 'line' | 'dose', { material, parts, amount, by }: Plain) => ({
      mix: mix['name'],
      of,
      material,
      amount: parts ?? amount,
      measured: by ?? '',
      ...Object.fromEntries([...mixFlags, ...mixWords, ...mixNumbers].map((key) => [key, at(mix, key)])),
    });
    return [...lines.map((line) => row('line', line)), ...doses.map((dose) => row('dose', dose))];
  });
  return unparse(rows, { escapeFormulae: true });
}

/** What a file holds as far as it can be told without the store, or what is wrong with it. */
export type ReadMixes = { readonly file: Plain } | { readonly issues: readonly FieldIssue[] };

const refused = (message: Message, remedy: Message, field = 'file'): ReadMixes => ({
  issues: [{ field, value: null, message, remedy }],
});

type Cells = Record<string, string>;

/** Reads one cell after another of a table, and keeps what is wrong with them. */
class CellReader {
  readonly issues: FieldIssue[] = [];

  private wrong(row: number, column: string, value: string, message: Message, remedy: Message) {
    this.issues.push({ field: `row ${row + 2}, ${column}`, value, message, remedy });
  }

  number(cells: Cells, row: number, column: string): number | undefined {
    const text = (cells[column] ?? '').trim();
    if (text === '') return undefined;
    const value = Number(text.replace(',', '.'));
    if (Number.isFinite(value)) return value;
    this.wrong(row, column, text, msg('files.rowNoNumber', { row: row + 2, column, text }), msg('files.plainNumber'));
    return undefined;
  }

  word(cells: Cells, row: number, column: string): string | undefined {
    const text = (cells[column] ?? '').trim().replace(/^'(?=[=+\-@])/, '');
    if (/^[=+@]/.test(text))
      this.wrong(
        row,
        column,
        text,
        msg('files.rowFormula', { row: row + 2, column, sign: text.charAt(0) }),
        msg('files.plainWords'),
      );
    return text === '' ? undefined : text;
  }
}

/** A cell that says what is so: true or false, or nothing said. */
const isSo = (cell: string | undefined) => (cell === 'true' ? true : cell === 'false' ? false : undefined);

function put(into: Plain, path: string, value: unknown): void {
  if (value === undefined) return;
  const [step, deeper] = path.split('.') as [string, string | undefined];
  if (deeper === undefined) into[step] = value;
  else put((into[step] ??= {}) as Plain, deeper, value);
}

function readMaterials(rows: readonly Cells[], read: CellReader): Plain[] {
  return rows.map((cells, i) => {
    const material: Plain = {};
    for (const word of words) put(material, word, read.word(cells, i, word));
    for (const number of numbers) put(material, number, read.number(cells, i, number));
    for (const flag of flags) put(material, flag, isSo(cells[flag]));
    if (material['sealer'])
      put(
        material,
        CLAIMS,
        (cells[CLAIMS] ?? '')
          .split(BETWEEN.trim())
          .map((one) => one.trim())
          .filter(Boolean),
      );
    return material;
  });
}

function readMixRows(rows: readonly Cells[], read: CellReader): Plain[] {
  const mixes = new Map<string, Plain & { lines: Plain[]; doses: Plain[] }>();
  rows.forEach((cells, i) => {
    const name = read.word(cells, i, 'mix') ?? '';
    const known = mixes.get(name) ?? { name, packed: false, lines: [], doses: [] };
    mixes.set(name, known);
    for (const flag of mixFlags) put(known, flag, isSo(cells[flag]));
    for (const word of mixWords) put(known, word, read.word(cells, i, word));
    for (const number of mixNumbers) put(known, number, read.number(cells, i, number));
    const material = read.word(cells, i, 'material') ?? '';
    const amount = read.number(cells, i, 'amount') ?? null;
    const measured = read.word(cells, i, 'measured');
    if (cells['of'] === 'dose') known.doses.push({ material, amount });
    else known.lines.push({ material, parts: amount, ...(measured && { by: measured }) });
  });
  return [...mixes.values()];
}

function readTable(text: string): ReadMixes {
  const { data, meta } = parse<Cells>(text, { header: true, skipEmptyLines: true, transformHeader: currentKey });
  const fields = meta.fields ?? [];
  const isMixes = fields.includes('mix') && fields.includes('material');
  if (!isMixes && !(fields.includes('name') && fields.includes('bulk')))
    return refused(msg('files.noMixTable'), msg('files.mixColumns'));
  if (data.length > MOST_ROWS)
    return refused(
      msg('files.manyRows', { rows: fixed(data.length, 0), most: fixed(MOST_ROWS, 0) }),
      msg('files.splitTable'),
    );
  const allowed = isMixes
    ? ['mix', 'of', 'material', 'amount', 'measured', ...mixFlags, ...mixWords, ...mixNumbers]
    : [...words, ...numbers, ...flags, CLAIMS];
  const unknown = fields.filter((field) => !(allowed as string[]).includes(field));
  if (unknown.length > 0)
    return refused(
      msg('files.unknownColumn', { columns: unknown.join(', ') }),
      msg('files.knownColumns', { columns: allowed.join(', ') }),
    );
  const read = new CellReader();
  const [materials, mixes] = isMixes ? [[], readMixRows(data, read)] : [readMaterials(data, read), []];
  return read.issues.length > 0 ? { issues: read.issues } : { file: { ...MIX_FILE, materials, mixes } };
}

/** Reads materials and mixes from a file of ours, JSON or CSV by what it holds. What is in it is judged by the server. */
export function readMixes(text: string): ReadMixes {
  if (text.trim() === '') return refused(msg('files.empty'), msg('files.chooseAnother'));
  if (text.length > MOST_CHARACTERS)
    return refused(msg('files.large', { most: MOST_CHARACTERS / 1e6 }), msg('files.splitFile'));
  if (!/^\s*[[{]/.test(text)) return readTable(text);
  try {
    const file = JSON.parse(text) as unknown;
    if (typeof file === 'object' && file !== null && !Array.isArray(file))
      return { file: currentMixFile(file as Plain) };
  } catch {
    return refused(msg('files.cutShort'), msg('files.saveAgain'));
  }
  return refused(msg('files.listOnly'), msg('files.mustSay', { format: MIX_FILE.format }));
}
