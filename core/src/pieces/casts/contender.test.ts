import { expect, it } from 'vitest';
import { contender } from './contender.js';
import type { CastEvent } from './events.js';

const poured: CastEvent = { id: 'p', at: 0, type: 'poured' };
const out = (id: string, at: number): CastEvent => ({ id, at, type: 'demoulded', damage: [] });
const mine = out('mine', 5);

it('is the last of its kind that stands', () => {
  expect(contender(mine, [poured, out('a', 3), { id: 'w', at: 4, type: 'wetted' }])).toMatchObject({ id: 'a' });
  expect(contender(mine, [poured, out('a', 3), { id: 'v', at: 4, type: 'voided', event: 'a' }])).toBeUndefined();
  expect(contender(mine, [poured, out('mine', 3)])).toBeUndefined();
});

it('is none of what cannot be undone by itself', () => {
  expect(contender({ id: 'q', type: 'poured' }, [poured])).toBeUndefined();
});
