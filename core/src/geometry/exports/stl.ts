const HEAD = 80;
const PER_TRIANGLE = 50;

/** A binary STL of triangles (nine numbers each, mm). `name` goes into its head. */
export function writeStl(triangles: Float32Array, name: string): ArrayBuffer {
  const count = triangles.length / 9;
  const buffer = new ArrayBuffer(HEAD + 4 + count * PER_TRIANGLE);
  const view = new DataView(buffer);
  [...name].slice(0, HEAD - 1).forEach((letter, i) => view.setUint8(i, Math.min(126, letter.charCodeAt(0))));
  view.setUint32(HEAD, count, true);
  for (let i = 0; i < count; i++) {
    const at = HEAD + 4 + i * PER_TRIANGLE;
    const t = triangles.subarray(i * 9, i * 9 + 9);
    const [ux, uy, uz] = [t[3]! - t[0]!, t[4]! - t[1]!, t[5]! - t[2]!];
    const [vx, vy, vz] = [t[6]! - t[0]!, t[7]! - t[1]!, t[8]! - t[2]!];
    const normal = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
    const size = Math.hypot(...normal) || 1;
    normal.forEach((n, k) => view.setFloat32(at + 4 * k, n / size, true));
    t.forEach((n, k) => view.setFloat32(at + 12 + 4 * k, n, true));
  }
  return buffer;
}
