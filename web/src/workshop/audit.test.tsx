import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';
import type { AuditEntryView } from '@dewpot/contract';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { NOW, session } from '../../test/stand-ins';
import { WhoDidWhat } from '../ui/who-did-what';
import { AuditPage } from './audit-page';

const entry = (id: string, over: Partial<AuditEntryView>): AuditEntryView => ({ id, at: NOW, person: 'Ada', thing: 'moulds', deed: 'changed', recordId: 'm', record: 'Nested pot', ...over }); // prettier-ignore
const page = (rows: AuditEntryView[]) => ({ rows, count: rows.length, before: null, after: null });

it('who did what is told in a line each, with a way to what is still there', async () => {
  fakeServer({
    audit: page([
      entry('a', {}),
      entry('b', { person: 'Tobias', deed: 'removed', record: 'Old tub' }),
      entry('c', { thing: 'casts', deed: 'events', record: '7a', event: 'film-tested' }),
    ]),
  });
  renderScreen(<AuditPage />);
  const list = await screen.findByRole('list', { name: 'Who did what' });
  const [one, two, three] = within(list).getAllByRole('listitem');
  expect(one).toHaveTextContent('Ada changed: Mould Nested pot');
  expect(screen.getByRole('link', { name: 'Nested pot' })).toHaveAttribute('href', '/moulds/m');
  expect(two).toHaveTextContent('Tobias removed: Mould Old tub');
  expect(three).toHaveTextContent('Ada added an event to: Cast 7a · tried with a clear film');
  expect(screen.queryByRole('link', { name: 'Old tub' })).toBeNull();
});

it('is chosen by person and by kind', async () => {
  const asked: string[] = [];
  fakeServer({ audit: (_: unknown, query: URLSearchParams) => (asked.push(query.toString()), page([entry('a', {})])) });
  renderScreen(<AuditPage />);
  await userEvent.selectOptions(await screen.findByLabelText('To what'), 'Pour');
  await userEvent.selectOptions(await screen.findByLabelText('Who'), 'Ada');
  await expect.poll(() => asked.at(-1)).toMatch(/person=p.*thing=pours|thing=pours.*person=p/);
});

it('begins empty with what will stand there; a helper is shown no way to it', async () => {
  fakeServer({ audit: page([]) });
  renderScreen(<AuditPage />);
  expect(await screen.findByText('Nothing was done yet')).toBeVisible();
  renderScreen(<WhoDidWhat record="m" />, '/here', '/here', { ...session, person: { ...session.person, role: 'helper' } });
  expect(screen.queryByRole('link', { name: 'Who did what to it' })).toBeNull();
}); // prettier-ignore
