import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { patternExamples } from '../src/script-api/pattern-examples.js';
import { answersItsExamples, startServer, type Harness } from './harness.js';

let harness: Harness;
beforeAll(async () => {
  harness = await startServer();
});
afterAll(() => harness.close());

const ask = async (path: string, body: object) =>
  (await request(harness.app.getHttpServer()).post(`/api/calculate/patterns/${path}`).send(body)).body;

describe('questions about patterns', () => {
  answersItsExamples('patterns', patternExamples, () => harness);

  it('are answered as the handbook works them: a spiral takes 4,622 mm of strip, five from a sheet of a metre', async () => {
    const { answers } = await ask('parts', patternExamples.parts);
    const told = (key: string) => answers.find((one: { name: string }) => one.name === key)?.figure.value;
    expect(Math.round(told('Strip in all'))).toBe(4622);
    expect(told('Strips to cut')).toBe(5);
  });

  it('cut lengths from the fewest sticks, refuse what is too long by its field, and say where the sticks do not do', async () => {
    const { cut } = await ask('sticks', patternExamples.sticks);
    expect(cut).toMatchObject({ best: true, least: 2 * 2400 });
    const { pieces, sticks } = patternExamples.sticks;
    const [stick] = sticks;
    expect(await ask('sticks', { pieces, sticks: [{ ...stick, count: 1 }] })).toEqual({});
    const long = await ask('sticks', { pieces: [{ ...pieces[0], length: 2500 }], sticks });
    expect(long.errors).toMatchObject([{ field: 'pieces.0.length', value: 2500 }]);
  });

  it('lay parts on sheets, and say where the sheets do not do', async () => {
    const { layout } = await ask('sheets', patternExamples.sheets);
    expect(layout).toMatchObject({ fewest: true, cost: 9.5, sheets: [{ sheet: 'ply' }] });
    expect(layout.sheets[0].placed).toHaveLength(4);
    const { parts, sheets } = patternExamples.sheets;
    const many = parts.map((part) => ({ ...part, count: 30 }));
    expect(await ask('sheets', { parts: many, sheets })).toEqual({});
    const large = await ask('sheets', { parts: [{ ...parts[1], outline: parts[1]!.outline.map(([x, y]) => [3 * x!, y]) }], sheets });
    expect(large.errors).toMatchObject([{ field: 'parts.0', value: 900 }]);
  }); // prettier-ignore

  it('fold a lamp of 13 faces up until its corners meet', async () => {
    const { pieces } = await ask('assembled', patternExamples.assembled);
    const corners = new Set(
      pieces.flatMap(({ inner }: { inner: number[][] }) =>
        inner.map((point) => point.map((n) => Math.round(n * 100) || 0).join(' ')),
      ),
    );
    expect(pieces).toHaveLength(13);
    expect(corners.size).toBe(12);
  });

  it('are refused by the field of a size that cannot be, and by their kind', async () => {
    const { pattern } = patternExamples.parts;
    const sharp = await ask('parts', { pattern: { ...pattern, line: { ...pattern.line, start: 10 } } });
    expect(sharp.errors).toMatchObject([{ field: 'pattern.channel', value: 40 }]);
    expect((await ask('parts', { pattern: { kind: 'cloud' } })).errors).toMatchObject([{ field: 'pattern.kind' }]);
    expect((await ask('parts', { pattern: { ...pattern, sheet: '1 m' } })).errors[0].field).toBe('pattern.sheet');
  });
});
