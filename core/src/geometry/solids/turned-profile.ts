import type { ProfileRadius, Revolution } from './solid.js';

/** A run of a profile without a step: heights rise strictly. */
type Run = readonly ProfileRadius[];

/** Runs of a profile between its steps, bottom up. */
export function runsOf({ points }: Revolution): Run[] {
  const runs: ProfileRadius[][] = [[]];
  for (const point of points) {
    const run = runs[runs.length - 1]!;
    if (run.length > 0 && run[run.length - 1]!.height === point.height) runs.push([point]);
    else run.push(point);
  }
  return runs.filter((run) => run.length > 1);
}

/** Slopes at the points of a run by which a cubic neither overshoots nor turns back between them (Fritsch & Carlson 1980). */
function monotoneSlopes(run: Run): number[] {
  const secants = run.slice(1).map((point, i) => (point.radius - run[i]!.radius) / (point.height - run[i]!.height));
  const slopes = run.map((_, i) => {
    const before = secants[i - 1];
    const after = secants[i];
    if (before === undefined || after === undefined) return before ?? after ?? 0;
    return before * after <= 0 ? 0 : (before + after) / 2;
  });
  secants.forEach((secant, i) => {
    if (secant === 0) {
      slopes[i] = 0;
      slopes[i + 1] = 0;
      return;
    }
    const [a, b] = [slopes[i]! / secant, slopes[i + 1]! / secant];
    const size = Math.hypot(a, b);
    if (size <= 3) return;
    slopes[i] = (3 * a * secant) / size;
    slopes[i + 1] = (3 * b * secant) / size;
  });
  return slopes;
}

/** Radius within one run, by height; its slopes are worked out once. */
function radiusOfRun(run: Run, smooth: boolean): (z: number) => number {
  const slopes = smooth ? monotoneSlopes(run) : [];
  return (z) => {
    const next = run.findIndex(({ height }) => height > z);
    const i = next === -1 ? run.length - 2 : Math.max(0, next - 1);
    const [from, to] = [run[i]!, run[i + 1]!];
    const width = to.height - from.height;
    const t = (z - from.height) / width;
    if (!smooth) return from.radius + (to.radius - from.radius) * t;
    const [m0, m1] = [slopes[i]! * width, slopes[i + 1]! * width];
    const [t2, t3] = [t * t, t * t * t];
    return (
      (2 * t3 - 3 * t2 + 1) * from.radius + (t3 - 2 * t2 + t) * m0 + (3 * t2 - 2 * t3) * to.radius + (t3 - t2) * m1
    );
  };
}

/** Radius of a turned profile by height, mm; 0 outside of it. On a step the upper radius counts. */
export function turnedProfile(solid: Revolution): (z: number) => number {
  const parts = runsOf(solid).map((run) => ({
    from: run[0]!.height,
    to: run[run.length - 1]!.height,
    radius: radiusOfRun(run, solid.smooth),
  }));
  return (z) => {
    const part = parts.findLast(({ from }) => from <= z);
    return part && z <= part.to ? Math.max(0, part.radius(z)) : 0;
  };
}

/** Radius of a turned profile at one height, mm. */
export function profileRadius(solid: Revolution, z: number): number {
  return turnedProfile(solid)(z);
}
