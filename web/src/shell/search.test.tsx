import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it, vi } from 'vitest';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { SearchControl } from './search-control';
import { SearchDialog } from './search-dialog';

const hits = [
  { kind: 'mould', id: 'm', name: 'Nested pot' },
  { kind: 'cast', id: 'c', name: '1a', mould: 'Nested pot' },
];

it('opens by its key, but not while something is typed', async () => {
  fakeServer();
  renderScreen(
    <>
      <input aria-label="Name" />
      <SearchControl />
    </>,
  );
  await userEvent.type(await screen.findByLabelText('Name'), 'a/b');
  expect(screen.queryByRole('dialog')).toBeNull();
  await userEvent.click(document.body);
  await userEvent.keyboard('/');
  expect(await screen.findByRole('dialog', { name: 'Search' })).toBeVisible();
});

it('finds things of the workshop and screens; arrows go through them, and Enter opens the first', async () => {
  fakeServer({ 'search?words=nest': hits, 'search?words=dose': [], 'search?words=xyz': [] });
  const onClose = vi.fn();
  renderScreen(<SearchDialog onClose={onClose} />);
  const field = await screen.findByRole('searchbox');
  await userEvent.type(field, 'nest');
  const [mould, cast] = await screen.findAllByRole('link');
  expect(mould).toHaveAttribute('href', '/moulds/m');
  expect(cast).toHaveTextContent('1a, Nested pot');
  await userEvent.keyboard('{ArrowDown}{ArrowDown}');
  expect(cast).toHaveFocus();
  await userEvent.clear(field);
  await userEvent.type(field, 'dose');
  await waitFor(() => expect(screen.getAllByRole('link').map((link) => link.getAttribute('href'))).toEqual(['/tints/ladder', '/guide/tints#part-1'])); // prettier-ignore
  await userEvent.clear(field);
  await userEvent.type(field, 'xyz');
  expect(await screen.findByText('Nothing has “xyz” in its name.')).toBeVisible();
  await userEvent.clear(field);
  await userEvent.type(field, 'nest');
  await screen.findAllByRole('link');
  await userEvent.keyboard('{Enter}');
  expect(onClose).toHaveBeenCalled();
});
