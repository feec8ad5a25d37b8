import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { QueryClient } from '@tanstack/react-query';
import { expect, it, vi } from 'vitest';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { cast, castDetail, NOW, session } from '../../test/stand-ins';
import { ConnectionNote } from '../shell/connection-note';
import { WaitingPage } from './waiting-page';

const HOUR = 3_600_000;
const theirs = { id: 'theirs', at: NOW - 2 * HOUR, type: 'demoulded' as const, damage: [{ spot: 'rim' as const, size: 'chip' as const }] }; // prettier-ignore
const mine = { id: 'mine', at: NOW - HOUR, type: 'demoulded' as const, damage: [] };
const detail = { ...castDetail(cast('1a')), events: [{ id: 'p', at: 0, type: 'poured' as const }, theirs] };

/** The memory of a page in which an event was refused after it had waited. */
const build = (client: QueryClient, event: object) =>
  client.getMutationCache().build(client, { mutationKey: ['cast-event'], scope: { id: 'casts' } }, {
    ...{ context: undefined, data: undefined, failureCount: 2, failureReason: null, isPaused: false, submittedAt: 0 },
    status: 'error',
    variables: { castId: 'id-1a', event },
    error: { problem: { title: 'No', detail: 'Out of its mould already.', status: 422, errors: [] } },
  } as never); // prettier-ignore

const show = (event?: object) =>
  renderScreen(
    <>
      <ConnectionNote />
      <WaitingPage />
    </>,
    '/waiting',
    '/waiting',
    session,
    (client) => void (event && build(client, event)),
  );

it('nothing waits where everything is on record', async () => {
  fakeServer();
  show();
  expect(await screen.findByText(/is on record/)).toBeVisible();
});

it('what was not taken stands beside what is on record; one puts one’s own in its place', async () => {
  const sent = fakeServer({ 'casts/id-1a': detail, 'POST casts': detail });
  show(mine);
  expect(await screen.findByText('Out of its mould already.')).toBeVisible();
  expect(screen.getByRole('status')).toHaveTextContent('One entry was not taken.');
  const onRecord = screen.getByRole('region', { name: 'On record' });
  await vi.waitFor(() => expect(onRecord).toHaveTextContent(/rim/));
  expect(screen.getByRole('region', { name: 'Recorded on this device' })).not.toHaveTextContent(/rim/);
  await userEvent.click(screen.getByRole('button', { name: 'Put this in its place' }));
  expect(await screen.findByText(/is on record/)).toBeVisible();
  expect(sent.map(({ body }) => body)).toMatchObject([{ type: 'voided', event: 'theirs' }, mine]);
});

it('or keeps what is on record', async () => {
  const sent = fakeServer({ 'casts/id-1a': detail });
  show(mine);
  await userEvent.click(await screen.findByRole('button', { name: 'Keep what is on record' }));
  expect(await screen.findByText(/is on record/)).toBeVisible();
  expect(sent).toEqual([]);
});

it('what contends with nothing is sent again or let go', async () => {
  fakeServer({ 'casts/id-1a': detail });
  show({ id: 'w', at: NOW, type: 'wetted' });
  expect(await screen.findByRole('button', { name: 'Send it again' })).toBeVisible();
  await userEvent.click(screen.getByRole('button', { name: 'Let it go' }));
  expect(await screen.findByText(/is on record/)).toBeVisible();
});
