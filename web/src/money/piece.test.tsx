import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import type { PieceMoneyView } from '@dewpot/contract';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { session } from '../../test/stand-ins';
import { PiecePage } from './piece-page';

const known: PieceMoneyView = {
  facts: { gramCost: 0.0004, fresh: 2500, dry: 2300, casts: 20, good: 18, minutes: 12, sold: 2, soldFor: 18, copies: [] },
  costing: { version: 2, packing: 0.5 },
}; // prettier-ignore
const costs = () => screen.getByRole('region', { name: 'What a piece costs' });
const type = async (label: string, value: string) => {
  const field = screen.getByLabelText(label);
  await userEvent.clear(field);
  await userEvent.type(field, value);
  await userEvent.tab();
};

describe('what a piece costs', () => {
  it('is told by its parts from the record, and changes as something is told beside', async () => {
    fakeServer({ 'money/piece': known });
    renderScreen(<PiecePage />);
    // (1.00 of mix) ÷ 0.9 + 0.50 of packing.
    expect(await within(await screen.findByRole('region', { name: 'What a piece costs' })).findByText('€1.61')).toBeVisible(); // prettier-ignore
    expect(costs()).toHaveTextContent('Ask for it€2.30');
    expect(costs()).toHaveTextContent('Sold for€18.00');
    expect(costs()).toHaveTextContent('18 of 20 looked at were good: 90 % are counted on.');
    await type('An hour of your work', '15');
    // Twelve minutes are 3.00 more for each that is poured.
    expect(costs()).toHaveTextContent('€4.94');
    expect(within(costs()).getByRole('list', { name: 'Parts of the cost' })).toHaveTextContent('Work to its demoulding€3.00');
  }); // prettier-ignore

  it('is sent by bands of mass, with what lightening would save', async () => {
    fakeServer({ 'money/piece': known });
    renderScreen(<PiecePage />);
    const user = userEvent.setup();
    const add = await screen.findByRole('button', { name: 'Another band' });
    await user.click(add);
    await type('Costs, band 1', '4.5');
    expect(costs()).toHaveTextContent('Packed it weighs 2.58 kg: heavier than all bands.');
    await user.click(add);
    await type('Costs, band 2', '7.6');
    expect(costs()).toHaveTextContent('Packed it weighs 2.58 kg and is sent for €7.60. 22 % lighter it would save €3.10.');
    await user.click(screen.getByRole('button', { name: 'Remove band 2' }));
    expect(costs()).toHaveTextContent('heavier than all bands');
  }); // prettier-ignore

  it('tells whether another copy of the mould pays by the evenings that it saves', async () => {
    fakeServer({ 'money/piece': known });
    renderScreen(<PiecePage />);
    await screen.findByText(/to see whether it pays/);
    for (const [label, value] of [['A copy of the mould costs', '30'], ['Evenings that another copy saves', '3'], ['What an evening is worth', '20']] as const) await type(label, value); // prettier-ignore
    expect(costs()).toHaveTextContent(
      'Another copy for €30.00 pays: the 3 evenings that it saves are worth €30.00 more.',
    );
    await type('Evenings that another copy saves', '1');
    expect(costs()).toHaveTextContent('does not pay: it costs €10.00 more than the evening that it saves is worth.');
  });

  it('is kept with the workshop’s prices, and not where something cannot be', async () => {
    const sent = fakeServer({ 'money/piece': known, 'PUT workshop': session });
    renderScreen(<PiecePage />);
    await screen.findByText('€1.61');
    await type('Sealer for a piece', '-1');
    expect(screen.getByRole('alert')).toBeVisible();
    expect(screen.getByRole('button', { name: /^Save/ })).toBeDisabled();
    await type('Sealer for a piece', '0.8');
    await type('To be left of the price, %', '50');
    await userEvent.click(screen.getByRole('button', { name: /^Save/ }));
    await expect.poll(() => sent.map(({ path }) => path)).toEqual(['workshop', 'money/costings/m']);
    expect(sent[0]?.body).toMatchObject({ pricing: { rate: 0, margin: 0.5, bands: [] } });
    expect(sent[1]?.body).toEqual({ packing: 0.5, sealer: 0.8, version: 2 });
  });

  it('says what is missing: prices of lots, and pieces of that mix', async () => {
    fakeServer({ 'money/piece': { facts: { casts: 0, good: 0, sold: 0, copies: [] }, costing: { version: 0 } } });
    renderScreen(<PiecePage />);
    expect(await screen.findByText(/No lot of its materials has a price/)).toHaveTextContent('None was poured of this mix in this mould'); // prettier-ignore
  });
});
