/** A dark blob: its middle and area in px², and how round it is, 1 for a disc. */
export interface Blob {
  readonly x: number;
  readonly y: number;
  readonly area: number;
  readonly roundness: number;
  /** How much darker than its surroundings it is at its darkest. */
  readonly depth: number;
}

/** Pixels that hang together and are darker than a level, from one of them on; no more than `most`. */
function grown(dark: Float32Array, width: number, from: number, level: number, taken: Uint8Array, mark: number, most: number): number[] {
  const height = dark.length / width;
  const found = [from];
  taken[from] = mark;
  for (let k = 0; k < found.length && found.length <= most; k++) {
    const i = found[k]!;
    const x = i % width;
    const y = (i - x) / width;
    const near = [x > 0 ? i - 1 : -1, x < width - 1 ? i + 1 : -1, y > 0 ? i - width : -1, y < height - 1 ? i + width : -1];
    for (const next of near) {
      if (next < 0 || taken[next] === mark || dark[next]! < level) continue;
      taken[next] = mark;
      found.push(next);
    }
  }
  return found;
} // prettier-ignore

/** Area and edge of what lies over a level among pixels, the edge running between pixels where the level is met (marching squares). */
function measured(pixels: readonly number[], dark: Float32Array, width: number, level: number) {
  const own = new Set(pixels);
  const valueAt = (i: number) => (own.has(i) ? dark[i]! - level : Math.min(-1e-3, (dark[i] ?? level) - level));
  const cells = new Set(pixels.flatMap((i) => [i, i - 1, i - width, i - width - 1]));
  let [area, edge] = [0, 0];
  for (const i of cells) {
    const corners = [[0, 0, valueAt(i)], [1, 0, valueAt(i + 1)], [1, 1, valueAt(i + width + 1)], [0, 1, valueAt(i + width)]] as const;
    const ring: [number, number, boolean][] = [];
    corners.forEach(([x, y, value], k) => {
      const [nx, ny, next] = corners[(k + 1) % 4]!;
      if (value > 0) ring.push([x, y, false]);
      if (value > 0 !== next > 0) {
        const share = value / (value - next);
        ring.push([x + share * (nx - x), y + share * (ny - y), true]);
      }
    });
    ring.forEach(([x, y, cut], k) => {
      const [nx, ny, nextCut] = ring[(k + 1) % ring.length]!;
      area += (x * ny - nx * y) / 2;
      if (cut && nextCut) edge += Math.hypot(nx - x, ny - y);
    });
  }
  return { area, edge };
} // prettier-ignore

/** Nothing larger is one blob, px. */
const MOST_PIXELS = 60_000;
/** Pixels between two looks at whether it is to go on. */
const LOOKS = 65_536;

/** Middle, area and roundness of a blob from its pixels. */
function blobOf(pixels: readonly number[], dark: Float32Array, width: number, depth: number): Blob {
  const { area, edge } = measured(pixels, dark, width, depth / 2);
  const x = pixels.reduce((sum, at) => sum + (at % width), 0) / pixels.length;
  const y = pixels.reduce((sum, at) => sum + Math.floor(at / width), 0) / pixels.length;
  return { x, y, area, depth, roundness: edge > 0 ? (4 * Math.PI * area) / edge ** 2 : 0 };
}

/** What pixels are taken for, in the order in which they are looked at. */
const SEEN = 1;
const OF_A_BLOB = 2;

/** The blobs of pixels that hang together over the seed: the darkest first, each to half its own depth; what is left beside one is its soft edge. */
function parted(
  whole: readonly number[],
  dark: Float32Array,
  width: number,
  taken: Uint8Array,
  inside: Uint8Array,
): Blob[] {
  const blobs: Blob[] = [];
  for (const peak of [...whole].sort((a, b) => dark[b]! - dark[a]!)) {
    if (taken[peak] !== SEEN) continue;
    const depth = dark[peak]!;
    const pixels = grown(dark, width, peak, depth / 2, inside, 1, MOST_PIXELS);
    for (const at of pixels) inside[at] = 0;
    const edge = pixels.some((at) => taken[at] === OF_A_BLOB);
    for (const at of pixels) taken[at] = OF_A_BLOB;
    if (!edge) blobs.push(blobOf(pixels, dark, width, depth));
  }
  return blobs;
}

/** Dark blobs of a picture of darkness: seeds stand over `seed`, and each blob ends at half its own depth. `goOn` is asked now and then. */
export function blobsOf(dark: Float32Array, width: number, seed: number, goOn: () => void): Blob[] {
  const [taken, inside] = [new Uint8Array(dark.length), new Uint8Array(dark.length)];
  const blobs: Blob[] = [];
  for (let i = 0; i < dark.length; i++) {
    if (i % LOOKS === 0) goOn();
    if (taken[i] !== 0 || dark[i]! < seed) continue;
    blobs.push(...parted(grown(dark, width, i, seed, taken, SEEN, MOST_PIXELS), dark, width, taken, inside));
  }
  return blobs;
}
