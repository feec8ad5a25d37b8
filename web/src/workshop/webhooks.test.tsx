import type { WebhookDeliveryView, WebhookView } from '@dewpot/contract';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';
import { fakeServer, Refusal, renderScreen } from '../../test/fake-server';
import { NOW } from '../../test/stand-ins';
import { Webhooks } from './webhooks';

const sentOnce = (id: string, more: Partial<WebhookDeliveryView>): WebhookDeliveryView => ({ id, at: NOW, type: 'due', casts: 1, tries: 1, ...more }); // prettier-ignore
const hook = (...deliveries: WebhookDeliveryView[]): WebhookView => ({ id: 'h', label: 'Shed lamp', address: 'http://lamp.example/due', madeAt: NOW, deliveries }); // prettier-ignore

it('an address is added once it is one, and its secret told once', async () => {
  const sent = fakeServer({ 'POST webhooks': { id: 'h', secret: 'a-secret' } });
  renderScreen(<Webhooks />);
  await userEvent.click(screen.getByText('Add an address'));
  await userEvent.type(screen.getByLabelText('Whom it tells'), 'Shed lamp');
  await userEvent.type(screen.getByLabelText(/^Address/), 'lamp.example');
  await userEvent.click(screen.getByRole('button', { name: 'Add it' }));
  expect(await screen.findByText(/begins with http/)).toBeVisible();
  await userEvent.clear(screen.getByLabelText(/^Address/));
  await userEvent.type(screen.getByLabelText(/^Address/), 'http://lamp.example/due');
  await userEvent.click(screen.getByRole('button', { name: 'Add it' }));
  expect(await screen.findByDisplayValue('a-secret')).toBeVisible();
  // What another test left waiting may be sent meanwhile.
  const added = sent.find(({ path }) => path === 'webhooks');
  expect(added).toMatchObject({ body: { label: 'Shed lamp', address: 'http://lamp.example/due' } });
});

it('what was sent says how far it is, the last of it at once', async () => {
  fakeServer({
    webhooks: [hook(sentOnce('a', { error: 'HTTP 500', tries: 3 }), sentOnce('b', { casts: 4, deliveredAt: NOW }), sentOnce('c', { type: 'try', casts: 0, tries: 0 }))],
  }); // prettier-ignore
  renderScreen(<Webhooks />);
  expect(await screen.findByText(/1 cast came due, .*: not taken: HTTP 500\. .* so far: 3/)).toBeVisible();
  expect(screen.getByText(/4 casts came due, .*: taken/)).not.toBeVisible();
  await userEvent.click(screen.getByText('What was sent'));
  expect(screen.getByText(/A try, .*: waits to be sent/)).toBeVisible();
});

it('it is tried and removed, and a refusal is told', async () => {
  const sent = fakeServer({
    webhooks: [hook()],
    'DELETE webhooks': new Refusal({ status: 404, title: 'Not here', detail: 'There is no such webhook.', errors: [] }),
  });
  renderScreen(<Webhooks />);
  expect(await screen.findByText('Nothing was sent yet.')).toBeVisible();
  await userEvent.click(screen.getByRole('button', { name: 'Try Shed lamp' }));
  await waitFor(() => expect(sent[0]).toMatchObject({ method: 'POST', path: 'webhooks/h/try' }));
  await userEvent.click(screen.getByRole('button', { name: 'Remove Shed lamp' }));
  expect(await screen.findByText('There is no such webhook.')).toBeVisible();
});
