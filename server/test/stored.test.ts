import { describe, expect, it } from 'vitest';
import { stored } from '../src/db/stored.js';

type Both = { to: (value: unknown) => unknown; from: (value: unknown) => unknown };
const columnOf = (...given: Parameters<typeof stored>) => stored(...given).transformer as Both;

describe('a column of JSON', () => {
  it('keeps the number of its shape with the value, and gives the value back without it', () => {
    const column = columnOf();
    expect(column.to({ a: 1 })).toEqual({ v: 1, a: 1 });
    expect(column.from(column.to({ a: 1 }))).toEqual({ a: 1 });
    expect(column.from(column.to([{ a: 1 }, { a: 2 }]))).toEqual([{ a: 1 }, { a: 2 }]);
    expect(column.from(column.to(null))).toBeNull();
  });

  it('reads what was written before shapes had numbers as the first', () => {
    expect(columnOf().from({ a: 1 })).toEqual({ a: 1 });
  });

  it('brings an older shape up to date by every reader after it, and writes the newest', () => {
    const column = columnOf({}, [
      ({ a, ...rest }) => ({ b: a, ...rest }),
      ({ b, ...rest }) => ({ c: Number(b) * 2, ...rest }),
    ]);
    expect(column.from({ a: 4, k: 1 })).toEqual({ c: 8, k: 1 });
    expect(column.from({ v: 2, b: 4 })).toEqual({ c: 8 });
    expect(column.from({ v: 3, c: 8 })).toEqual({ c: 8 });
    expect(column.to({ c: 8 })).toEqual({ v: 3, c: 8 });
  });
});
