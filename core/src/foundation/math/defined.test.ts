import { describe, expect, it } from 'vitest';
import { defined } from './defined.js';

describe('what must be there', () => {
  it.each([0, '', false, NaN])('is answered as it is, though it counts as nothing: %s', (value) => {
    expect(defined(value)).toBe(value);
  });

  it.each([undefined, null])('is a fault where it is %s', (value) => {
    expect(() => defined(value)).toThrow('missing');
  });
});
