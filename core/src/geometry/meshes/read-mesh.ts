import { msg } from '../../foundation/units/index.js';
import { read3mf } from './read-3mf.js';
import { readObj } from './read-obj.js';
import { readStl } from './read-stl.js';
import { refuse } from './refuse.js';
import type { Task, Triangles } from './triangles.js';

/** Most bytes of a file that is opened. */
const MOST_BYTES = 220 * 1024 * 1024;

/** What a file is, by its first bytes rather than by its name. */
function kindOf(bytes: Uint8Array, name: string): 'stl' | 'obj' | '3mf' {
  if (bytes[0] === 0x50 && bytes[1] === 0x4b) return '3mf';
  const start = new TextDecoder('latin1').decode(bytes.subarray(0, 4096));
  if (/^\s*solid\b/i.test(start)) return 'stl';
  if (
    /^(#.*|\s*|mtllib .*|[og] .*|v[nt]? .*|usemtl .*|s .*)$/im.test(start) &&
    /^v\s+[-+.\d]/m.test(start) &&
    !start.includes('\0')
  )
    return 'obj';
  return /\.obj$/i.test(name) && !start.includes('\0') ? 'obj' : 'stl';
}

/** First triangle with a corner that is no number; −1 where there is none. A plain loop: there are millions. */
function firstWrong(triangles: Triangles): number {
  for (let i = 0; i < triangles.length; i++) {
    const n = triangles[i]!;
    if (n - n !== 0) return Math.floor(i / 9);
  }
  return -1;
}

/** Refuses a file by its size in bytes, before any of it is taken into memory. @throws InputError */
export function checkMeshSize(bytes: number): void {
  if (bytes === 0) throw refuse(msg('meshes.empty'), msg('meshes.chooseAnotherFile'));
  if (bytes > MOST_BYTES) throw refuse(msg('meshes.meshTooLarge'), msg('meshes.saveFewerTriangles'));
}

/** Reads a mesh file: STL (binary or text), OBJ or 3MF, whatever its name says. @throws InputError; Stopped */
export function readMesh(bytes: Uint8Array, name: string, task: Task = {}): Triangles {
  checkMeshSize(bytes.length);
  const kind = kindOf(bytes, name);
  const triangles =
    kind === '3mf'
      ? read3mf(bytes, task)
      : kind === 'obj'
        ? readObj(new TextDecoder().decode(bytes), task)
        : readStl(bytes, task);
  const wrong = firstWrong(triangles);
  if (wrong !== -1) throw refuse(msg('meshes.triangleNoNumber', { wrong: wrong + 1 }), msg('meshes.saveAgain'));
  return triangles;
}
