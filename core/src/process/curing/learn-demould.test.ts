import { english, refusal } from '@dewpot/locales/testing';
import { describe, expect, it } from 'vitest';
import { normalShare } from '../../foundation/math/index.js';
import { learnDemouldAge, type DemouldRecord } from './index.js';

const HANDBOOK = 24;
const clean = (age: number): DemouldRecord => ({ age, came: 'clean' });
const broke = (age: number): DemouldRecord => ({ age, came: 'too-early' });
const proposed = (...asked: Parameters<typeof learnDemouldAge>) => learnDemouldAge(...asked).age.value;

/** Repeatable numbers from 0 to 1. */
function dice(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** A caster who demoulds when it is proposed, fifteen times, where the mould really holds until `threshold` hours. */
function fifteen(threshold: number, seed: number) {
  const next = dice(seed);
  const records: DemouldRecord[] = [];
  for (let n = 0; n < 15; n++) {
    const age = proposed(HANDBOOK, records);
    records.push({ age, came: next() < normalShare(Math.log(age / threshold) / 0.06) ? 'clean' : 'too-early' });
  }
  return { damaged: records.filter(({ came }) => came === 'too-early').length, last: records[14]!.age };
}
const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

describe('the earliest safe demould', () => {
  it('without a record is 1.17, 1.02 and 0.88 of the handbook for 5, 10 and 20 % risk', () => {
    for (const [care, share] of [
      ['cautious', 1.17],
      ['usual', 1.02],
      ['bold', 0.88],
    ] as const)
      // prettier-ignore
      expect(proposed(HANDBOOK, [], { care }) / HANDBOOK).toBeCloseTo(share, 2);
  });

  it('comes earlier where it came clean, but never under 0.93 of the shortest clean one', () => {
    const first = proposed(HANDBOOK, []);
    expect(proposed(HANDBOOK, [clean(first)])).toBeLessThan(first);
    expect(proposed(HANDBOOK, [clean(60)])).toBeGreaterThanOrEqual(0.93 * 60 - 1e-9);
    const ages = [first];
    for (let n = 0; n < 20; n++) ages.push(proposed(HANDBOOK, ages.map(clean)));
    ages.slice(1).forEach((age, i) => expect(age).toBeGreaterThanOrEqual(0.93 * ages[i]! - 1e-9));
  });

  it('may lie above the handbook where it broke', () => {
    expect(proposed(HANDBOOK, [broke(26)])).toBeGreaterThan(26);
  });

  it('after damage takes a third of the risk, until one asks to try again, and the next damage brings it back', () => {
    const records = [clean(25), broke(20)];
    const wary = learnDemouldAge(HANDBOOK, records);
    expect(wary.wary).toBe(true);
    expect(wary.risk).toBeLessThanOrEqual(0.1 / 3 + 1e-6);
    const again = learnDemouldAge(HANDBOOK, records, { triedAgainAt: 2 });
    expect(again.wary).toBe(false);
    expect(again.age.value).toBeLessThan(wary.age.value);
    expect(learnDemouldAge(HANDBOOK, [...records, broke(21)], { triedAgainAt: 2 }).wary).toBe(true);
  });

  it('leaves out what came to harm otherwise', () => {
    const otherwise: DemouldRecord = { age: 30, came: 'otherwise' };
    expect(proposed(HANDBOOK, [otherwise])).toBe(proposed(HANDBOOK, []));
    expect(english(learnDemouldAge(HANDBOOK, [otherwise]).sentence)).toContain('nothing was demoulded of it');
    expect(english(learnDemouldAge(HANDBOOK, [clean(25), broke(20)]).sentence)).toMatch(
      /based on 2 demouldings, 1 of them too early/,
    );
  });

  it('refuses an age that is none, by its field', () => {
    expect(refusal(() => learnDemouldAge(HANDBOOK, [clean(Number.NaN)]))).toContain('records.0.age');
    expect(refusal(() => learnDemouldAge(0, []))).toContain('expected');
  });

  it('finds hidden thresholds from 0.5 to 1.8 of the handbook with few broken, and comes near those above 0.75', () => {
    const shares = [0.5, 0.65, 0.8, 1, 1.2, 1.4, 1.6, 1.8];
    const runs = shares.map((share) => Array.from({ length: 50 }, (_, seed) => fifteen(share * HANDBOOK, seed + 1)));
    const damaged = runs.flat().map((run) => run.damaged);
    expect(damaged.reduce((sum, n) => sum + n, 0) / damaged.length).toBeLessThan(2.5);
    shares.forEach((share, i) => {
      const last = median(runs[i]!.map((run) => run.last)) / (share * HANDBOOK);
      if (share <= 0.75) return;
      expect(last, `threshold ${share}`).toBeGreaterThan(0.95);
      expect(last, `threshold ${share}`).toBeLessThan(1.3);
    });
  });
});
