import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { TermLink } from '../ui/term-link';
import { terms } from '../ui/terms';
import { GlossaryPage } from './glossary-page';

it('a word tells what it means where it stands, and leads to all of them', async () => {
  fakeServer();
  renderScreen(<TermLink of="equivalent-age">Equivalent age at 20 °C</TermLink>);
  await userEvent.click(await screen.findByRole('button', { name: 'Equivalent age at 20 °C' }));
  const dialog = screen.getByRole('dialog', { name: 'Equivalent age' });
  expect(dialog).toHaveTextContent('Cold makes it younger');
  expect(screen.getByRole('link', { name: 'All words' })).toHaveAttribute('href', '/glossary');
  await userEvent.click(screen.getByRole('button', { name: 'Close' }));
  expect(screen.queryByRole('dialog')).toBeNull();
});

it('the glossary has every word once, in order', async () => {
  fakeServer();
  renderScreen(<GlossaryPage />);
  await screen.findByRole('heading', { name: 'Glossary' });
  const names = screen.getAllByRole('term').map(({ textContent }) => textContent);
  expect(names).toHaveLength(Object.keys(terms).length);
  expect(names).toEqual([...names].sort((a, b) => a.localeCompare(b)));
});
