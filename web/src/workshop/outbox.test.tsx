import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { NOW, session } from '../../test/stand-ins';
import { Invitations } from './invitations';
import { Outbox } from './outbox';
import { WorkshopPage } from './workshop-page';

const page = (rows: readonly object[]) => ({ rows, count: rows.length, before: null, after: null });
const mail = { id: 'm', to: 'tobias@example.org', subject: 'Ada invites you', madeAt: NOW };

it('the outbox says how far each mail is, and what one says that was not sent', async () => {
  fakeServer({ 'mails?size=20': page([{ ...mail, state: 'kept', text: 'Come in by this link' }, { ...mail, id: 'n', state: 'failing', error: '451 Try later' }, { ...mail, id: 'o', state: 'sent' }]) }); // prettier-ignore
  renderScreen(<Outbox />);
  expect(await screen.findByText(/Kept here: no mail server is named/)).toBeVisible();
  expect(screen.getByText('451 Try later')).toBeVisible();
  expect(screen.getByText(/Sent$/)).toBeVisible();
  expect(screen.getByText('Come in by this link')).not.toBeVisible();
  await userEvent.click(screen.getAllByText('Ada invites you')[0]!);
  expect(screen.getByText('Come in by this link')).toBeVisible();
});

it('the outbox is empty at first, and stands for owners alone', async () => {
  fakeServer();
  renderScreen(<WorkshopPage />);
  expect(await screen.findByText('Nothing was mailed.')).toBeVisible();
  const helper = { ...session, person: { ...session.person, role: 'helper' as const } };
  fakeServer({ session: helper });
  renderScreen(<WorkshopPage />, '/here', '/here', helper);
  expect(screen.getAllByRole('region', { name: 'Outbox' })).toHaveLength(1);
});

it('an invitation is mailed where an address is given, and what is none is said before', async () => {
  const made = { id: 'i', role: 'caster', invitedBy: 'Ada', expiresAt: NOW, token: 't', mail: 'kept' };
  const sent = fakeServer({ 'POST invitations': made });
  renderScreen(<Invitations />);
  await userEvent.click(screen.getByText('Invite somebody'));
  const address = screen.getByLabelText('Mail the link to, if you like');
  await userEvent.type(address, 'tobias');
  await userEvent.click(screen.getByRole('button', { name: 'Make an invitation' }));
  expect(await screen.findByText(/like name@example.org/)).toBeVisible();
  expect(sent).toEqual([]);
  await userEvent.type(address, '@example.org');
  await userEvent.click(screen.getByRole('button', { name: 'Make an invitation' }));
  await waitFor(() =>
    expect(sent.at(-1)).toMatchObject({ body: { role: 'caster', days: 7, email: 'tobias@example.org' } }),
  );
  expect(await screen.findByRole('status')).toHaveTextContent('To tobias@example.org: it lies in the outbox');
});
