import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it, vi } from 'vitest';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { endScreens } from '../../test/open-screens';
import { ask } from './client';
import { useWrite } from './writes';

function Sends() {
  const { mutate } = useWrite((name: string) => ask<void>('POST', 'scoops', { name }));
  return <button onClick={() => mutate('A tin')}>Send</button>;
}

it('what a screen of one test still sends does not arrive in the next', async () => {
  const away = vi.fn(() => Promise.reject(new TypeError('no server')));
  vi.stubGlobal('fetch', away);
  renderScreen(<Sends />);
  await userEvent.click(screen.getByRole('button', { name: 'Send' }));
  await vi.waitFor(() => expect(away.mock.calls.length).toBeGreaterThan(1));
  await endScreens();
  const sent = fakeServer();
  await new Promise((done) => setTimeout(done, 600));
  expect(sent).toEqual([]);
});
