import { Suspense } from 'react';
import { render, screen } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { retried } from './retried';

const Part = () => <p>the part</p>;
const shown = (Retried: ReturnType<typeof retried>) =>
  render(
    <Suspense fallback={<p>waits</p>}>
      <Retried />
    </Suspense>,
  );

it('a part that was fetched ahead stands at once, fetched once', async () => {
  const fetch = vi.fn(async () => ({ default: Part }));
  const Ahead = retried(fetch);
  await Ahead.ahead();
  shown(Ahead);
  expect(screen.getByText('the part')).toBeVisible();
  expect(fetch).toHaveBeenCalledTimes(1);
});

it('one that could not be fetched ahead is asked for when it is shown', async () => {
  const fetch = vi.fn<() => Promise<{ default: typeof Part }>>();
  fetch.mockRejectedValueOnce(new Error('no connection')).mockResolvedValue({ default: Part });
  const Ahead = retried(fetch);
  await Ahead.ahead();
  shown(Ahead);
  expect(screen.getByText('waits')).toBeVisible();
  expect(await screen.findByText('the part')).toBeVisible();
});

it('one that stands already is not drawn anew by what comes ahead', async () => {
  const Late = retried(async () => ({ default: Part }));
  const view = shown(Late);
  const before = await screen.findByText('the part');
  await Late.ahead();
  view.rerender(
    <Suspense>
      <Late />
    </Suspense>,
  );
  expect(screen.getByText('the part')).toBe(before);
});
