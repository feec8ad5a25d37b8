import { InputError, msg } from '../../foundation/units/index.js';
import { refuse } from './refuse.js';
import { MOST_TRIANGLES, tick, type Task, type Triangles } from './triangles.js';

const HEAD = 84;
const PER_TRIANGLE = 50;

/** A binary STL, by its count; undefined where the length does not fit that. */
function countOf(bytes: Uint8Array): number | undefined {
  if (bytes.length < HEAD) return undefined;
  const count = new DataView(bytes.buffer, bytes.byteOffset).getUint32(80, true);
  return HEAD + count * PER_TRIANGLE === bytes.length ? count : undefined;
}

function readBinary(bytes: Uint8Array, count: number, task: Task): Triangles {
  const triangles = new Float32Array(count * 9);
  const raw = new Uint8Array(triangles.buffer);
  // Little-endian floats lie in the file as in memory: twelve bytes of normal are left out of each record.
  for (let i = 0; i < count; i++) {
    tick(task, i, count);
    const at = HEAD + i * PER_TRIANGLE + 12;
    raw.set(bytes.subarray(at, at + 36), i * 36);
  }
  return triangles;
}

const NUMBER = String.raw`[-+]?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?|nan|[-+]?inf(?:inity)?`;

function readText(text: string, task: Task): Triangles {
  const vertex = new RegExp(String.raw`\bvertex\s+(${NUMBER})\s+(${NUMBER})\s+(${NUMBER})`, 'gi');
  const numbers: number[] = [];
  let read = 0;
  for (let match = vertex.exec(text); match; match = vertex.exec(text)) {
    tick(task, read++, text.length / 80);
    numbers.push(Number(match[1]), Number(match[2]), Number(match[3]));
    if (numbers.length > MOST_TRIANGLES * 9) throw tooMany(numbers.length / 9);
  }
  if (numbers.length === 0 || numbers.length % 9 !== 0 || !/endsolid/i.test(text.slice(-300)))
    throw refuse(msg('meshes.endsInTriangle', { numbers: Math.floor(numbers.length / 9) }), msg('meshes.saveWhole'));
  return new Float32Array(numbers);
}

const tooMany = (count: number): InputError =>
  refuse(
    msg('meshes.trianglesOverMost', { count: Math.round(count), mostTriangles: MOST_TRIANGLES }),
    msg('meshes.saveFewerTriangles'),
  );

/** Reads an STL, binary or text, whatever its head says. @throws InputError naming what is wrong; Stopped */
export function readStl(bytes: Uint8Array, task: Task = {}): Triangles {
  const count = countOf(bytes);
  if (count !== undefined) {
    if (count === 0) throw refuse(msg('meshes.noTriangles'), msg('meshes.saveABody'));
    if (count > MOST_TRIANGLES) throw tooMany(count);
    return readBinary(bytes, count, task);
  }
  const start = new TextDecoder('latin1').decode(bytes.subarray(0, 2048));
  if (/^\s*solid\b/i.test(start) && /\b(facet|endsolid)\b/i.test(start))
    return readText(new TextDecoder('latin1').decode(bytes), task);
  if (bytes.length < HEAD) throw refuse(msg('meshes.tooFewBytes', { bytes: bytes.length }), msg('meshes.saveAgain'));
  const claimed = new DataView(bytes.buffer, bytes.byteOffset).getUint32(80, true);
  throw refuse(
    msg('meshes.claimsMoreTriangles', {
      claimed,
      value: Math.max(0, Math.floor((bytes.length - HEAD) / PER_TRIANGLE)),
    }),
    msg('meshes.saveWhole'),
  );
}
