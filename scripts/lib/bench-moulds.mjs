// @ts-check
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** A row of the bench. @typedef {(what: string, value: string, aim?: string) => void} Note */

const TRIANGLES = 1_000_000;
const RUNS = 5;

/** A ball of about a million triangles, nine numbers each. @returns {Float32Array} */
function ball() {
  const n = Math.ceil(Math.sqrt(TRIANGLES / 2));
  const at = (/** @type {number} */ i, /** @type {number} */ j) => {
    const [a, b] = [((j % n) / n) * 2 * Math.PI, (Math.PI * i) / n];
    const s = i === 0 || i === n ? 0 : Math.sin(b);
    return [100 * s * Math.cos(a), 100 * s * Math.sin(a), 100 * Math.cos(b)];
  };
  /** @type {number[][]} */
  const corners = [];
  for (let i = 0; i < n; i++)
    for (let j = 0; j < n; j++) {
      const [a, b, c, d] = [at(i, j), at(i + 1, j), at(i + 1, j + 1), at(i, j + 1)];
      if (i < n - 1) corners.push(a, b, c);
      if (i > 0) corners.push(a, c, d);
    }
  return Float32Array.from(corners.flat());
}

/** Milliseconds of the middle run. @param {() => unknown} work */
export function middle(work) {
  const times = Array.from({ length: RUNS }, () => {
    const begun = performance.now();
    work();
    return performance.now() - begun;
  });
  return times.sort((a, b) => a - b)[RUNS >> 1] ?? NaN;
}

/** The same mesh for an indexed mesh library: corners once, triangles by number. @param {Float32Array} triangles */
function indexed(triangles) {
  const known = new Map();
  /** @type {number[]} */
  const vertices = [];
  const triVerts = new Uint32Array(triangles.length / 3);
  for (let i = 0; i < triangles.length; i += 3) {
    const key = `${triangles[i]} ${triangles[i + 1]} ${triangles[i + 2]}`;
    if (!known.has(key)) {
      known.set(key, known.size);
      vertices.push(triangles[i] ?? 0, triangles[i + 1] ?? 0, triangles[i + 2] ?? 0);
    }
    triVerts[i / 3] = known.get(key);
  }
  return { vertProperties: Float32Array.from(vertices), triVerts };
}

/** Volume of a mesh of a million triangles beside two general libraries, each with the mesh in its own form. @param {Note} note */
export async function meshVolumes(note) {
  const { measureMesh, meshVolume, readMesh } = await import('@dewpot/core/meshes');
  const { writeStl } = await import('@dewpot/core/exports');
  const triangles = ball();
  const file = new Uint8Array(writeStl(triangles, 'ball'));
  const whole = middle(() => measureMesh(triangles));
  const own = middle(() => meshVolume(triangles));
  note('Mesh of 1,000,000 triangles: volume, area and shutness', `${whole.toFixed(0)} ms`);
  note('… volume alone', `${own.toFixed(0)} ms`);
  note('… read from a binary STL', `${middle(() => readMesh(file, 'ball.stl')).toFixed(0)} ms`);

  const { default: jscad } = await import('@jscad/modeling');
  const polygons = Array.from({ length: triangles.length / 9 }, (_, t) => {
    const p = (/** @type {number} */ k) =>
      /** @type {[number, number, number]} */ ([...triangles.subarray(t * 9 + k, t * 9 + k + 3)]);
    return jscad.geometries.poly3.create([p(0), p(3), p(6)]);
  });
  // Each run gets a body of its own: the library remembers what it measured.
  const theirs = middle(() => jscad.measurements.measureVolume(jscad.geometries.geom3.create(polygons)));
  note(
    '… volume alone by @jscad/modeling',
    `${theirs.toFixed(0)} ms, ${(theirs / own).toFixed(1)} times ours`,
    'ours 5 times as fast',
  );

  const { default: load } = await import('manifold-3d');
  const manifold = await load();
  manifold.setup();
  const mesh = new manifold.Mesh({ numProp: 3, ...indexed(triangles) });
  const built = middle(() => {
    const body = new manifold.Manifold(mesh);
    body.volume();
    body.delete();
  });
  note('… shutness and volume by manifold-3d', `${built.toFixed(0)} ms`, 'ours not slower');
}

/** A mesh of a million triangles through the screen: until it is read, and the longest task of the page's own thread. @param {import('@playwright/test').BrowserContext} context @param {Note} note */
export async function meshInBrowser(context, note) {
  const { writeStl } = await import('@dewpot/core/exports');
  const folder = mkdtempSync(join(tmpdir(), 'dewpot-mesh-'));
  const path = join(folder, 'ball.stl');
  writeFileSync(path, Buffer.from(writeStl(ball(), 'ball')));
  const page = await context.newPage();
  try {
    await page.goto('/moulds/file');
    await page.getByRole('button', { name: 'Choose a file' }).waitFor();
    await page.evaluate(() => {
      const found = /** @type {{ tasks: number[], begun: number, seen: number }} */ ({ tasks: [], begun: 0, seen: 0 });
      Object.assign(window, { found });
      new PerformanceObserver((list) => found.tasks.push(...list.getEntries().map((entry) => entry.duration))).observe({
        entryTypes: ['longtask'],
      });
      document.querySelector('input[type=file]')?.addEventListener('change', () => (found.begun = performance.now()));
      new MutationObserver(() => {
        if (found.seen === 0 && document.body.textContent?.includes('shut all round')) found.seen = performance.now();
      }).observe(document.body, { childList: true, subtree: true, characterData: true });
    });
    await page.getByLabel('A mesh, an outline or a photo').setInputFiles(path);
    await page.getByText('shut all round').waitFor({ timeout: 60_000 });
    const { took, longest } = await page.evaluate(() => {
      const { tasks, begun, seen } = /** @type {{ found: { tasks: number[], begun: number, seen: number } }} */ (
        /** @type {unknown} */ (window)
      ).found;
      return { took: seen - begun, longest: Math.max(0, ...tasks) };
    });
    note('The same in Chromium: file read, measured, its picture there', `${took.toFixed(0)} ms`, 'under 1500 ms');
    note(
      '… longest task of the page’s own thread',
      longest < 50 ? 'under 50 ms' : `${longest.toFixed(0)} ms`,
      'under 50 ms',
    );
  } finally {
    await page.close();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Redraw of the section while its fill line moves: React's work and the drawing's, step by step. @param {import('@playwright/test').BrowserContext} context @param {Note} note */
export async function sectionRedraw(context, note) {
  const page = await context.newPage();
  await page.goto('/moulds/new?as=trough');
  await page.getByRole('slider', { name: 'Fill line' }).waitFor();
  const times = await page.evaluate(() => {
    const line = /** @type {SVGGElement} */ (document.querySelector('[role=slider]'));
    return Array.from({ length: 60 }, () => {
      const begun = performance.now();
      line.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown', bubbles: true }));
      return performance.now() - begun;
    });
  });
  const sorted = times.toSorted((a, b) => a - b);
  note(
    'Section redrawn as its fill line moves',
    `${(sorted[30] ?? NaN).toFixed(1)} ms, longest ${(sorted.at(-1) ?? NaN).toFixed(1)} ms`,
    'under 8 ms',
  );
  await page.close();
}
