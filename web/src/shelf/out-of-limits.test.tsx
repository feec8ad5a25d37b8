import { screen } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import type { WatchView } from '@dewpot/contract';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { OutOfLimits } from './out-of-limits';

const watch: WatchView = { masses: [], months: [], copies: [], lately: [], left: 0 };
const point = (code: string, value: number) => ({ id: `c-${code}`, code, value, usual: 0.99 });

it('casts of late that weigh otherwise are told with what most likely made them so, two at the most', async () => {
  const lately = [{ ...point('33a', 0.92), cause: 'dried-early' as const }, point('32b', 1.05), point('31c', 0.9)];
  fakeServer({ 'findings/watch': { ...watch, lately } });
  renderScreen(<OutOfLimits />);
  const list = await screen.findByRole('list', { name: 'Out of their limits' });
  expect(list).toHaveTextContent('33a was 7 % too light at demoulding, against what is usual here. Most likely: dried out early.');
  expect(list).toHaveTextContent('32b was 6 % too heavy at demoulding, against what is usual here.');
  expect(list).toHaveTextContent('One more out of their limits');
  expect(screen.getByRole('link', { name: '33a' })).toHaveAttribute('href', '/casts/c-33a');
}); // prettier-ignore

it('nothing stands there where all is as usual', async () => {
  const asked = vi.fn(() => watch);
  fakeServer({ 'findings/watch': asked });
  renderScreen(<OutOfLimits />);
  await expect.poll(() => asked.mock.calls.length).toBe(1);
  expect(screen.queryByRole('list', { name: 'Out of their limits' })).toBeNull();
});
