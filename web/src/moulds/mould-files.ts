import { msg, type Message } from '@dewpot/core/units';
import { fullVolume, mouldIssues, pieceGuides, pieceView } from '@dewpot/core/moulds';
import { MouldInput, shapeOf, type MouldView } from '@dewpot/contract';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { parse, unparse } from 'papaparse';
import { v7 as uuid } from 'uuid';
import { draftOf, inputOf } from './draft';
import type { Speaker } from '@dewpot/locales';

const FORMAT = 'dewpot-moulds';

/** The moulds as a table for a spreadsheet: volumes in mL, sizes in mm; the last columns let it be read again. */
export function mouldsCsv(moulds: readonly MouldView[], say: Speaker): string {
  return unparse(
    moulds.map((mould) => {
      const { width, depth, height } = pieceView(mould.shape);
      return {
        name: mould.name,
        makes: say(pieceGuides[mould.piece].name),
        wall: mould.flexibility,
        solid: mould.shape.outer.kind,
        volume_mL: fullVolume(mould.shape).toFixed(1),
        length_mm: width.toFixed(1),
        width_mm: depth.toFixed(1),
        height_mm: height.toFixed(1),
        copies: mould.copies.length,
        cycles: mould.cycles,
        piece: mould.piece,
        marks: mould.copies.map(({ mark }) => mark).join(' '),
        shape: JSON.stringify(mould.shape),
      };
    }),
  );
}

/** The moulds with all their measurements, to be read again here or elsewhere. */
export function mouldsJson(moulds: readonly MouldView[]): string {
  const plain = moulds.map((mould) => {
    const { version: _, copies, ...rest } = inputOf(draftOf(mould));
    return { ...rest, copies: copies.map(({ mark }) => mark) };
  });
  return JSON.stringify({ format: FORMAT, version: 2, moulds: plain }, null, 2);
}

export interface ReadMoulds {
  readonly moulds: readonly { readonly id: string; readonly input: MouldInput }[];
  /** What could not be read, a sentence each. */
  readonly wrong: readonly Message[];
}

interface PlainMould {
  readonly name?: unknown;
  readonly copies?: unknown;
  /** What `flexibility` was called in files of version 1. */
  readonly stuff?: unknown;
}

function readOne({ stuff, ...given }: PlainMould, number: number): { input?: MouldInput; wrong?: Message } {
  const name = typeof given.name === 'string' ? given.name : `number ${number}`;
  const marks = Array.isArray(given.copies) ? given.copies.map(String) : [];
  const input = plainToInstance(MouldInput, {
    ...(stuff !== undefined && { flexibility: stuff }),
    ...given,
    copies: marks.map((mark) => ({ id: uuid(), mark })),
    version: 0,
  });
  const [error] = validateSync(input, { whitelist: true });
  if (error) return { wrong: msg('files.mouldFieldBad', { name, field: error.property }) };
  const [issue] = mouldIssues(shapeOf(input.shape));
  if (issue) return { wrong: msg('files.mouldLeftOut', { name, why: issue.message }) };
  return { input };
}

function readAll(given: readonly unknown[]): ReadMoulds {
  const read = given.map((one, i) => readOne((one ?? {}) as PlainMould, i + 1));
  return {
    moulds: read.flatMap(({ input }) => (input ? [{ id: uuid(), input }] : [])),
    wrong: read.flatMap(({ wrong }) => (wrong ? [wrong] : [])),
  };
}

function shapeIn(text: string | undefined): unknown {
  try {
    return JSON.parse(text ?? '');
  } catch {
    return undefined;
  }
}

/** Reads moulds from a table of ours; what is wrong is told, and the rest is read. */
function readMouldsCsv(text: string): ReadMoulds {
  const { data, meta } = parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
  if (!meta.fields?.includes('shape')) return { moulds: [], wrong: [msg('files.noMouldTable')] };
  return readAll(
    data.map(({ name, wall, piece, shape, marks = '' }) => ({
      name,
      flexibility: wall,
      piece,
      shape: shapeIn(shape),
      copies: marks.split(' ').filter(Boolean),
    })),
  );
}

/** Reads moulds from a file of ours, JSON or CSV by what it holds. */
export function readMoulds(text: string): ReadMoulds {
  return /^\s*[[{]/.test(text) ? readMouldsJson(text) : readMouldsCsv(text);
}

/** Reads moulds from a JSON file of ours; what is wrong is told, and the rest is read. */
function readMouldsJson(text: string): ReadMoulds {
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    return { moulds: [], wrong: [msg('files.noJsonAtAll')] };
  }
  const { format, moulds } = (parsed ?? {}) as { format?: unknown; moulds?: unknown };
  if (format !== FORMAT || !Array.isArray(moulds))
    return { moulds: [], wrong: [msg('files.noMoulds', { format: FORMAT })] };
  return readAll(moulds);
}
