import { Unzip, UnzipInflate, type UnzipFile } from 'fflate';
import { InputError, msg } from '../../foundation/units/index.js';
import { refuse } from './refuse.js';
import { MOST_TRIANGLES, Stopped, tick, type Task, type Triangles } from './triangles.js';

/** Most bytes that the model may unpack to. */
const MOST_UNPACKED = 200 * 1024 * 1024;

/** mm in a unit of a 3MF. */
const unitsIn3mf: Readonly<Record<string, number>> = {
  micron: 0.001,
  millimeter: 1,
  centimeter: 10,
  inch: 25.4,
  foot: 304.8,
  meter: 1000,
};

/** Unpacks the model of a 3MF, stopping as soon as it grows beyond what a model may be. */
function unpackModel(bytes: Uint8Array, task: Task): string {
  const decoder = new TextDecoder();
  const parts: string[] = [];
  let size = 0;
  let found = false;
  let failure: Error | undefined;
  const unzip = new Unzip((file: UnzipFile) => {
    if (found || !/\.model$/i.test(file.name)) return;
    found = true;
    file.ondata = (error, chunk, last) => {
      // The package hands on what is thrown in here: it is noted, and nothing more is kept.
      if (error) failure ??= error;
      if (failure) return;
      size += chunk.length;
      if (size > MOST_UNPACKED) {
        failure = refuse(msg('meshes.unpacksTooLarge'), msg('meshes.saveFewerTriangles'));
        file.terminate();
        return;
      }
      parts.push(decoder.decode(chunk, { stream: !last }));
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  const step = 1 << 16;
  try {
    for (let at = 0; at < bytes.length && !failure; at += step) {
      tick(task, 0, 1);
      unzip.push(bytes.subarray(at, at + step), at + step >= bytes.length);
    }
  } catch (error) {
    if (error instanceof Stopped) throw error;
    failure ??= error instanceof Error ? error : new Error(String(error));
  }
  if (failure instanceof InputError) throw failure;
  if (failure || !found || size === 0)
    throw refuse(found ? msg('meshes.packingDamaged') : msg('meshes.noModel'), msg('meshes.saveAgain'));
  return parts.join('');
}

const attribute = (tag: string, name: string) => new RegExp(`\\b${name}\\s*=\\s*"([^"]*)"`).exec(tag)?.[1];

/** Reads the meshes of a 3MF, in mm. References to other parts are left out. @throws InputError; Stopped */
export function read3mf(bytes: Uint8Array, task: Task = {}): Triangles {
  const model = unpackModel(bytes, task);
  if (/<!DOCTYPE|<!ENTITY/i.test(model)) throw refuse(msg('meshes.entitiesIn3mf'), msg('meshes.saveAgain'));
  const unit = unitsIn3mf[(/<model\b[^>]*\bunit\s*=\s*"([^"]*)"/i.exec(model)?.[1] ?? 'millimeter').toLowerCase()] ?? 1;
  const corners: number[] = [];
  const numbers: number[] = [];
  let first = 0;
  let read = 0;
  const tags = /<(mesh|vertex|triangle)\b([^>]*)>/g;
  for (let match = tags.exec(model); match; match = tags.exec(model)) {
    tick(task, read++, model.length / 40);
    const [, name = '', rest = ''] = match;
    if (name === 'mesh') first = corners.length / 3;
    else if (name === 'vertex') for (const axis of ['x', 'y', 'z']) corners.push(Number(attribute(rest, axis)) * unit);
    else {
      for (const corner of ['v1', 'v2', 'v3']) {
        const index = first + Number(attribute(rest, corner));
        if (!(index >= first && index < corners.length / 3))
          throw refuse(msg('meshes.cornerMissing'), msg('meshes.saveAgain'));
        numbers.push(corners[index * 3]!, corners[index * 3 + 1]!, corners[index * 3 + 2]!);
      }
      if (numbers.length > MOST_TRIANGLES * 9) throw refuse(msg('meshes.tooManyTriangles'), msg('meshes.saveFewer'));
    }
  }
  if (numbers.length === 0) throw refuse(msg('meshes.noTriangles'), msg('meshes.saveABody'));
  return new Float32Array(numbers);
}
