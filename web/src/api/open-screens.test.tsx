import { screen } from '@testing-library/react';
import { useQueryClient } from '@tanstack/react-query';
import userEvent from '@testing-library/user-event';
import { expect, it, vi } from 'vitest';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { endScreens } from '../../test/open-screens';
import { ask } from './client';
import { sendSteps } from './run-writes';
import { useWrite } from './writes';

function Sends() {
  const { mutate } = useWrite((name: string) => ask<void>('POST', 'scoops', { name }));
  return <button onClick={() => mutate('A tin')}>Send</button>;
}

/** Sends what is kept until the server has it. */
function SendsSteps() {
  const client = useQueryClient();
  const events = [{ id: '1', at: 1, kind: 'begin', step: '1' } as const];
  return <button onClick={() => sendSteps(client, { pourId: 'p', events })}>Send</button>;
}

it.each([Sends, SendsSteps])('what a screen of one test still sends does not arrive in the next', async (Screen) => {
  const away = vi.fn(() => Promise.reject(new TypeError('no server')));
  vi.stubGlobal('fetch', away);
  renderScreen(<Screen />);
  await userEvent.click(screen.getByRole('button', { name: 'Send' }));
  await vi.waitFor(() => expect(away.mock.calls.length).toBeGreaterThan(1));
  await endScreens();
  const sent = fakeServer();
  await new Promise((done) => setTimeout(done, 600));
  expect(sent).toEqual([]);
});
