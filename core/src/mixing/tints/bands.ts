/** Reflectance by band of light, 0–1 each; the middles of the bands stand in `BANDS`. */
export type Spectrum = readonly number[];

/** Middle of each band, nm. */
export const BANDS: readonly number[] = Array.from({ length: 16 }, (_, i) => 400 + 20 * i);

/** The eye by band: CIE 1931 colour matching functions of the 2° observer. */
const eye: readonly (readonly [x: number, y: number, z: number])[] = [
  [0.01431, 0.000396, 0.06785],
  [0.13438, 0.004, 0.6456],
  [0.34828, 0.023, 1.74706],
  [0.2908, 0.06, 1.6692],
  [0.09564, 0.13902, 0.81295],
  [0.0049, 0.323, 0.272],
  [0.06327, 0.71, 0.07825],
  [0.2904, 0.954, 0.0203],
  [0.5945, 0.995, 0.0039],
  [0.9163, 0.87, 0.00165],
  [1.0622, 0.631, 0.0008],
  [0.85445, 0.381, 0.00019],
  [0.4479, 0.175, 0.00002],
  [0.1649, 0.061, 0],
  [0.04677, 0.017, 0],
  [0.011359, 0.004102, 0],
];

/** Daylight by band: CIE illuminant D65. */
const daylight = [
  82.7549, 93.4318, 104.865, 117.812, 115.923, 109.354, 104.79, 104.405, 100, 95.788, 90.0062, 87.6987, 83.6992,
  80.2146, 78.2842, 71.6091,
];

/** White of daylight, as screens have it. */
const WHITE = [0.95047, 1, 1.08883] as const;

/** What each band gives to X, Y and Z, so that a face that throws all light back is white. */
export const eyeWeights: readonly (readonly number[])[] = WHITE.map((white, axis) => {
  const raw = eye.map((functions, i) => functions[axis]! * daylight[i]!);
  const sum = raw.reduce((total, n) => total + n, 0);
  return raw.map((n) => (n / sum) * white);
});
