import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it } from 'vitest';
import { fakeServer, Refusal, renderScreen, type Sent } from '../../test/fake-server';
import { StoresPage } from './stores-page';

let sent: Sent[];
beforeEach(() => {
  sent = fakeServer();
});

const keep = () => userEvent.click(screen.getByRole('button', { name: 'Keep' }));

describe('scoops', () => {
  it('are made from a round can’s own sizes', async () => {
    renderScreen(<StoresPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'A scoop' }));
    await keep();
    expect(screen.getByText(/Give it a name/)).toBeVisible();
    expect(screen.getByText(/1 g is 1 mL/)).toBeVisible();
    await userEvent.type(screen.getByLabelText('What you call it'), 'the soup tin');
    await userEvent.type(screen.getByLabelText('Diameter'), '80 mm');
    await userEvent.type(screen.getByLabelText('Height'), '100 mm{Tab}');
    expect(screen.getByLabelText('Holds, struck level')).toHaveValue('503 mL');
    await keep();
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({ method: 'PUT', body: { name: 'the soup tin', volume: 503, version: 0 } });
  });

  it('are edited and taken away', async () => {
    renderScreen(<StoresPage />);
    await userEvent.click(await screen.findByRole('button', { name: /the bean can/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Take away' }));
    await waitFor(() => expect(sent).toEqual([{ method: 'DELETE', path: 'stores/scoops/can', body: undefined }]));
  });
});

describe('lots', () => {
  it('show what is left, and a new one wants a price', async () => {
    renderScreen(<StoresPage />);
    const store = await screen.findByRole('region', { name: 'In the store' });
    expect(within(store).getByRole('button', { name: /20\.0 kg of 25\.0 kg/ })).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Add a lot' }));
    await keep();
    expect(screen.getByText(/Enter what it cost/)).toBeVisible();
    await userEvent.type(screen.getByLabelText(/^Price of the lot/), '7,90');
    await userEvent.selectOptions(screen.getByLabelText('Of'), 'Fine sand');
    await keep();
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      body: { materialId: 'fine-sand', bought: 25000, left: 25000, price: 7.9, version: 0 },
    });
  });

  it('that the server refuses stay open with the reason', async () => {
    const errors = [
      { field: 'left', value: 1, message: 'More is left than was bought.', remedy: 'Enter at most what was bought.' },
    ];
    sent = fakeServer({
      'PUT stores': new Refusal({ title: 'Something in this cannot be', status: 422, detail: 'no', errors }),
    });
    renderScreen(<StoresPage />);
    await userEvent.click(await screen.findByRole('button', { name: /20\.0 kg of 25\.0 kg/ }));
    const left = screen.getByLabelText('Left of it');
    await userEvent.clear(left);
    await userEvent.type(left, '40 kg');
    await keep();
    expect(await screen.findByRole('alert')).toHaveTextContent(
      'More is left than was bought. Enter at most what was bought.',
    );
    expect(left).toHaveValue('40 kg');
  });
});

describe('materials', () => {
  it('are added with figures of their own, and edited', async () => {
    renderScreen(<StoresPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'A material' }));
    await userEvent.type(screen.getByLabelText('Name'), 'Washed river sand');
    const bulk = screen.getByLabelText('Loose density, dry, kg/L');
    await userEvent.clear(bulk);
    await keep();
    expect(screen.getByText('Enter a number.')).toBeVisible();
    await userEvent.type(bulk, '1.52');
    await userEvent.selectOptions(screen.getByLabelText('Damp, it'), 'swells like fine sand');
    await keep();
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      body: { name: 'Washed river sand', kind: 'aggregate', bulk: 1.52, bulking: 'fine', version: 0 },
    });
    expect(sent[0]!.body).not.toHaveProperty('family');
  });
});
