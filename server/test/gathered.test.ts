import { describe, expect, it } from 'vitest';
import { Gathered } from '../src/db/gathered.js';

/** A question that is answered when the test says so; what was asked for each time. */
function heldBack() {
  const asked: (readonly string[])[] = [];
  const answers: ((error?: Error) => void)[] = [];
  const gathered = new Gathered<string>(
    (keys) =>
      new Promise((resolve, reject) => {
        asked.push(keys);
        answers.push((error) =>
          error ? reject(error) : resolve(new Map(keys.filter((key) => key !== 'none').map((key) => [key, `found ${key}`]))),
        );
      }),
  ); // prettier-ignore
  const settle = () => new Promise((done) => setTimeout(done));
  return { asked, answers, gathered, settle };
}

describe('what is asked for one by one', () => {
  it('is asked for at once while nothing is under way, and together while something is', async () => {
    const { asked, answers, gathered, settle } = heldBack();
    const all = ['a', 'b', 'c', 'none', 'c'].map((key) => gathered.ask(key));
    expect(asked).toEqual([['a'], ['b']]);
    answers[0]!();
    await settle();
    expect(asked[2]).toEqual(['c', 'none']);
    answers[1]!();
    answers[2]!();
    expect(await Promise.all(all)).toEqual(['found a', 'found b', 'found c', undefined, 'found c']);
  });

  it('is never answered by what was read before it was asked for', async () => {
    const { asked, answers, gathered, settle } = heldBack();
    const first = gathered.ask('a');
    const second = gathered.ask('a');
    expect(asked).toEqual([['a'], ['a']]);
    answers[1]!();
    expect(await second).toBe('found a');
    answers[0]!();
    await first;
    void gathered.ask('a');
    await settle();
    expect(asked).toHaveLength(3);
  });

  it('fails with the question that it went with, and the next one is asked', async () => {
    const { asked, answers, gathered, settle } = heldBack();
    const failed = [gathered.ask('a'), gathered.ask('b')];
    const next = gathered.ask('c');
    answers[0]!(new Error('away'));
    await expect(failed[0]).rejects.toThrow('away');
    await settle();
    expect(asked[2]).toEqual(['c']);
    answers[2]!();
    answers[1]!();
    expect(await next).toBe('found c');
    expect(await failed[1]).toBe('found b');
  });

  it('goes in parts where it is too much for one question', async () => {
    const { asked, answers, gathered, settle } = heldBack();
    const all = Array.from({ length: 302 }, (_, n) => gathered.ask(`key ${n}`));
    answers[0]!();
    answers[1]!();
    await settle();
    expect(asked.map(({ length }) => length)).toEqual([1, 1, 200, 100]);
    answers[2]!();
    answers[3]!();
    expect(new Set(await Promise.all(all)).size).toBe(302);
  });
});
