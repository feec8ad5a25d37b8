import { msg } from '../../foundation/units/index.js';
import { refuse } from './refuse.js';
import { MOST_TRIANGLES, tick, type Task, type Triangles } from './triangles.js';

/** Reads an OBJ: its corners and faces, polygons fanned into triangles. @throws InputError; Stopped */
export function readObj(text: string, task: Task = {}): Triangles {
  const corners: number[] = [];
  const numbers: number[] = [];
  const known = () => corners.length / 3;
  const put = (index: number) => numbers.push(corners[index * 3]!, corners[index * 3 + 1]!, corners[index * 3 + 2]!);
  let line = 0;
  for (let at = 0; at < text.length; line++) {
    tick(task, line, text.length / 24);
    const end = text.indexOf('\n', at);
    const [word, ...rest] = text
      .slice(at, end === -1 ? undefined : end)
      .trim()
      .split(/\s+/);
    at = end === -1 ? text.length : end + 1;
    if (word === 'v') corners.push(Number(rest[0]), Number(rest[1]), Number(rest[2]));
    if (word !== 'f') continue;
    const face = rest.map((corner) => {
      const given = Number.parseInt(corner, 10);
      const index = given < 0 ? known() + given : given - 1;
      if (!(index >= 0 && index < known()))
        throw refuse(msg('meshes.cornerBeforeIt', { line: line + 1, corner, known: known() }), msg('meshes.saveAgain'));
      return index;
    });
    for (let i = 2; i < face.length; i++) [face[0]!, face[i - 1]!, face[i]!].forEach(put);
    if (numbers.length > MOST_TRIANGLES * 9) throw refuse(msg('meshes.tooManyTriangles'), msg('meshes.saveFewer'));
  }
  if (numbers.length === 0) throw refuse(msg('meshes.noFaces'), msg('meshes.saveBodyWithFaces'));
  return new Float32Array(numbers);
}
