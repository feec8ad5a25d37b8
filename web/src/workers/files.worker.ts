import { InputError, type FieldIssue, msg } from '@dewpot/core/units';
import {
  analyseMesh,
  checkMeshSize,
  guessUnit,
  measureMesh,
  readDrawing,
  readMesh,
  standMesh,
  type MeshMeasure,
  type MeshReading,
  type MeshRole,
  type MeshUnit,
  type OutlineReading,
  type Progress,
  type Triangles,
  type Up,
} from '@dewpot/core/meshes';
import {
  findVoids,
  type FoundVoids,
  tracePhoto,
  type PhotoPixels,
  type PhotoTrace,
  type TraceWish,
  type VoidPatch,
} from '@dewpot/core/photos';
import { expose, transfer } from 'comlink';

/** What heavy work answers: an answer, or what is wrong with the file. */
export type FileAnswer<T> = { readonly ok: T } | { readonly issues: readonly FieldIssue[] };

/** A mesh as it was first read: its measure and a thinned picture of it. */
export interface FirstReading {
  readonly measure: MeshMeasure;
  readonly unit: MeshUnit;
  readonly picture: Float32Array;
}

/** What was found in a mesh, with a thinned picture of it as it stands, mm. */
export interface FullReading extends MeshReading {
  readonly picture: Float32Array;
}

/** Triangles of the picture that is shown while one is asked what the body is. */
const SHOWN = 12_000;

let held: { triangles: Triangles; measure: MeshMeasure } | undefined;

async function answer<T>(work: () => T | Promise<T>): Promise<FileAnswer<T>> {
  try {
    return { ok: await work() };
  } catch (error) {
    if (error instanceof InputError) return { issues: error.issues };
    if (error instanceof RangeError) {
      const message = msg('files.noMemory');
      return { issues: [{ field: 'file', value: null, message, remedy: msg('files.fewerTriangles') }] };
    }
    throw error;
  }
}

/** Every nth triangle, so that a large mesh can still be looked at. */
function thinned(triangles: Triangles): Float32Array {
  const every = Math.max(1, Math.ceil(triangles.length / 9 / SHOWN));
  const picture = new Float32Array(Math.ceil(triangles.length / 9 / every) * 9);
  for (let i = 0, to = 0; i < triangles.length; i += 9 * every, to += 9) picture.set(triangles.subarray(i, i + 9), to);
  return picture;
}

const work = {
  /** Reads a mesh file and keeps its triangles here. */
  async read(file: File, progress: Progress): Promise<FileAnswer<FirstReading>> {
    const read = await answer(async () => {
      checkMeshSize(file.size);
      const bytes = new Uint8Array(await file.arrayBuffer());
      const triangles = readMesh(bytes, file.name, { progress: (done) => progress(done * 0.6) });
      const measure = measureMesh(triangles, { progress: (done) => progress(0.6 + done * 0.4) });
      held = { triangles, measure };
      return { measure, unit: guessUnit(measure), picture: thinned(triangles) };
    });
    return 'ok' in read ? transfer(read, [read.ok.picture.buffer]) : read;
  },
  /** Analyses the mesh that was read, stood and taken as it was said. */
  analyse(up: Up, unit: MeshUnit, role: MeshRole, progress: Progress): Promise<FileAnswer<FullReading>> {
    return answer(() => {
      if (!held) throw new Error('No mesh was read.');
      const stood = standMesh(held.triangles, held.measure, up, unit);
      return { ...analyseMesh(stood, role, { progress }), picture: thinned(stood) };
    });
  },
  /** Reads the closed outlines of an SVG or a DXF. */
  outlines: (text: string): Promise<FileAnswer<OutlineReading>> => answer(() => readDrawing(text)),
  /** Finds the card and the outline on a photo. */
  trace: (pixels: PhotoPixels, wish: TraceWish, progress: Progress): Promise<FileAnswer<PhotoTrace>> =>
    answer(() => tracePhoto(pixels, wish, { progress })),
  /** Finds the voids of a patch of a face. */
  voids: (pixels: PhotoPixels, patch: VoidPatch, progress: Progress): Promise<FileAnswer<FoundVoids>> =>
    answer(() => findVoids(pixels, patch, { progress })),
};

export type FilesWork = typeof work;
expose(work);
