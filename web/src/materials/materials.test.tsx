import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it } from 'vitest';
import { fakeServer, Refusal, renderScreen, store, type Sent } from '../../test/fake-server';
import { NOW } from '../../test/stand-ins';
import { MaterialsPage } from './materials-page';

let sent: Sent[];
beforeEach(() => {
  sent = fakeServer();
});

const keep = () => userEvent.click(screen.getByRole('button', { name: 'Save' }));

describe('scoops', () => {
  it('are made from a round can’s own sizes', async () => {
    renderScreen(<MaterialsPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'A scoop' }));
    await keep();
    expect(screen.getByText(/Give it a name/)).toBeVisible();
    expect(screen.getByText(/weigh that: 1 g is 1 mL/)).toBeVisible();
    await userEvent.type(screen.getByLabelText('What you call it'), 'the soup tin');
    await userEvent.type(screen.getByLabelText('Diameter'), '80 mm');
    await userEvent.type(screen.getByLabelText('Height'), '100 mm{Tab}');
    expect(screen.getByLabelText('Holds, struck level')).toHaveValue('503 mL');
    await keep();
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({ method: 'PUT', body: { name: 'the soup tin', volume: 503, version: 0 } });
  });

  it('are measured by the water that fills them, and heaped', async () => {
    renderScreen(<MaterialsPage />);
    await userEvent.click(await screen.findByRole('button', { name: /the bean can/ }));
    await userEvent.type(screen.getByLabelText(/^The water that fills it/), '412 g{Tab}');
    expect(screen.getByLabelText('Holds, struck level')).toHaveValue('412 mL');
    await userEvent.type(screen.getByLabelText(/^Heaped, it holds/), '500 mL{Tab}');
    await keep();
    await waitFor(() => expect(sent[0]!.body).toMatchObject({ volume: 412, heaped: 500 }));
  });

  it('are edited and taken away', async () => {
    renderScreen(<MaterialsPage />);
    await userEvent.click(await screen.findByRole('button', { name: /the bean can/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Delete' }));
    await waitFor(() => expect(sent).toEqual([{ method: 'DELETE', path: 'scoops/can', body: undefined }]));
  });
});

describe('lots', () => {
  it('show what is left, and a new one wants a price', async () => {
    renderScreen(<MaterialsPage />);
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

  it('tell what their age or their lumps mean, and are noted as opened and by the bag', async () => {
    const old = { ...store.lots[0]!, id: 'old', boughtAt: NOW - 400 * 24 * 3_600_000 };
    const lumpy = { ...store.lots[0]!, id: 'lumpy', lumpy: true };
    sent = fakeServer({ materials: { ...store, lots: [old, lumpy] } });
    renderScreen(<MaterialsPage />);
    expect(await screen.findByText(/about \d\d % of its strength is left/)).toBeVisible();
    expect(screen.getByText('Lumpy: do not use it.')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: /about \d\d %/ }));
    await userEvent.clear(screen.getByLabelText('In how many bags'));
    await keep();
    expect(screen.getByText(/whole number, at least 1/)).toBeVisible();
    await userEvent.type(screen.getByLabelText('In how many bags'), '2');
    await userEvent.type(screen.getByLabelText(/^Opened on/), '2026-01-15');
    await userEvent.click(screen.getByLabelText(/Lumps in it/));
    await keep();
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({ bags: 2, lumpy: true, openedAt: new Date('2026-01-15T12:00').getTime() });
  });

  it('that the server refuses stay open with the reason', async () => {
    const errors = [
      { field: 'left', value: 1, message: 'More is left than was bought.', remedy: 'Enter at most what was bought.' },
    ];
    sent = fakeServer({
      'PUT lots': new Refusal({ title: 'Some values are invalid', status: 422, detail: 'no', errors }),
    });
    renderScreen(<MaterialsPage />);
    await userEvent.click(await screen.findByRole('button', { name: /20\.0 kg of 25\.0 kg/ }));
    const left = screen.getByLabelText('Left of it');
    await userEvent.clear(left);
    await userEvent.type(left, '40 kg');
    await keep();
    expect(await screen.findByRole('alert')).toHaveTextContent(
      'More is left than was bought. Enter at most what was bought.',
    );
    expect(left).toHaveValue('40 kg');
    await userEvent.click(screen.getByRole('button', { name: 'Correct it' }));
    expect(left).toHaveFocus();
  });
});

describe('materials', () => {
  it('are added with figures of their own, and edited', async () => {
    renderScreen(<MaterialsPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'A material' }));
    await userEvent.type(screen.getByLabelText('Name'), 'Washed river sand');
    const bulk = screen.getByLabelText('Loose bulk density, kg/L');
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

  it('are weighed by the scoop, step by step, and what cannot be is told', async () => {
    renderScreen(<MaterialsPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'Sharp sand' }));
    await userEvent.click(screen.getByText('Weigh a scoop of it'));
    await userEvent.selectOptions(screen.getByLabelText('How many'), '2');
    await userEvent.type(screen.getByLabelText('Mass on the scale'), '1.2 kg{Tab}');
    expect(screen.getByText(/1\.5 kg\/L loose/)).toBeVisible();
    expect(screen.getByLabelText('Loose bulk density, kg/L')).toHaveValue(1.5);
    await userEvent.type(screen.getByLabelText('Mass on the scale'), '90 kg{Tab}');
    expect(screen.getByText(/at most 8 kg\/L/)).toBeVisible();
    await keep();
    await waitFor(() => expect(sent[0]).toMatchObject({ path: 'materials/sharp-sand', body: { bulk: 1.5 } }));
  });

  it('that are ready-made powders say the water of their bag and what doses are calculated on', async () => {
    renderScreen(<MaterialsPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'Fast-setting repair mortar' }));
    expect(screen.queryByLabelText('Water it asks for, kg per kg')).toBeNull();
    const share = screen.getByLabelText('Binder in it, share');
    await userEvent.clear(share);
    await keep();
    expect(screen.getByText('Enter a number.')).toBeVisible();
    await userEvent.type(share, '0.5');
    await keep();
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({ powder: { low: 0.2, high: 0.25, binderShare: 0.5, doseShare: 1 } });
  });

  it('that bind say the pot life and the set of their bag, or leave them to the handbook', async () => {
    renderScreen(<MaterialsPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'Fast-setting repair mortar' }));
    await userEvent.type(screen.getByLabelText('Pot life at 20 °C, minutes'), '25');
    await userEvent.type(screen.getByLabelText('Initial set at 20 °C, hours'), '0.6');
    await keep();
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({ times: { potLife: 25, initialSet: 0.6 } });
    await userEvent.click(await screen.findByRole('button', { name: 'Sharp sand' }));
    expect(screen.queryByLabelText('Pot life at 20 °C, minutes')).toBeNull();
  });

  it('that are dosed say as what, and a liquid its solids', async () => {
    renderScreen(<MaterialsPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'A material' }));
    await userEvent.type(screen.getByLabelText('Name'), 'Ochre paste');
    await userEvent.selectOptions(screen.getByLabelText('It is'), 'an additive, dosed');
    await userEvent.selectOptions(screen.getByLabelText('It is dosed as'), 'liquid pigment');
    await userEvent.clear(screen.getByLabelText(/^Solids of a liquid/));
    await userEvent.type(screen.getByLabelText(/^Solids of a liquid/), '0.4');
    await keep();
    await waitFor(() =>
      expect(sent[0]!.body).toMatchObject({ kind: 'additive', additive: 'liquid-pigment', solids: 0.4 }),
    );
  });

  it('of the handbook that the store lacks can be taken from it', async () => {
    sent = fakeServer({ materials: { ...store, materials: store.materials.filter(({ id }) => id !== 'coir') } });
    renderScreen(<MaterialsPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'A material' }));
    await userEvent.selectOptions(screen.getByLabelText('From the handbook'), 'Coir, fluffed');
    expect(screen.getByLabelText('Name')).toHaveValue('Coir, fluffed');
    expect(screen.getByLabelText('Loose bulk density, kg/L')).toHaveValue(0.1);
    await keep();
    await waitFor(() => expect(sent[0]!.body).toMatchObject({ name: 'Coir, fluffed', kind: 'organic', bulk: 0.1 }));
  });
});

describe('boards, sheets and mesh', () => {
  const ply = { id: 'ply', name: 'Birch ply', kind: 'sheet', length: 1220, width: 610, thickness: 12, count: 3, price: 14.5, version: 2 } as const; // prettier-ignore

  it('are added with their size, and need a name and every size', async () => {
    renderScreen(<MaterialsPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'Board, sheet or mesh' }));
    await userEvent.click(screen.getByLabelText('Stick or board'));
    expect(screen.getByLabelText('Length (along the grain)')).toHaveValue('2400 mm');
    await userEvent.clear(screen.getByLabelText('Width'));
    await keep();
    expect(screen.getByText('Enter a name.')).toBeVisible();
    expect(screen.getByText('Enter this size.')).toBeVisible();
    expect(sent).toEqual([]);
    await userEvent.type(screen.getByLabelText('What you call it'), 'Larch');
    await userEvent.type(screen.getByLabelText('Width'), '95');
    await userEvent.clear(screen.getByLabelText('How many you have'));
    await userEvent.type(screen.getByLabelText('How many you have'), '7');
    await keep();
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toEqual({ name: 'Larch', kind: 'stick', length: 2400, width: 95, thickness: 18, count: 7, version: 0 }); // prettier-ignore
  });

  it('that one has are listed with size, count and price, changed and removed', async () => {
    sent = fakeServer({ materials: { ...store, stock: [ply] } });
    renderScreen(<MaterialsPage />);
    await userEvent.click(
      await screen.findByRole('button', { name: /^Birch ply.*1220 mm × 610 mm × 12.0 mm.*3 · €14.50/ }),
    );
    await userEvent.type(screen.getByLabelText(/^Price of one/), '{Backspace}{Backspace}{Backspace}{Backspace}19');
    await keep();
    await waitFor(() => expect(sent[0]).toMatchObject({ method: 'PUT', path: 'stock/ply', body: { price: 19, version: 2 } })); // prettier-ignore
    await userEvent.click(await screen.findByRole('button', { name: /Birch ply/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Delete' }));
    await waitFor(() => expect(sent[1]).toMatchObject({ method: 'DELETE', path: 'stock/ply' }));
  });
});
