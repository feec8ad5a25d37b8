import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { fakeServer, mould, renderScreen } from '../../test/fake-server';
import { cast } from '../../test/stand-ins';
import { MouldPage } from './mould-page';

const open = (id: string) => renderScreen(<MouldPage />, `/moulds/${id}`, '/moulds/:id');
const answers = () => screen.getByRole('region', { name: 'What follows' });
const parts = () => screen.getByRole('region', { name: 'Cores and inserts' });

async function retype(field: HTMLElement, text: string) {
  await userEvent.clear(field);
  await userEvent.type(field, `${text}{Enter}`);
}

describe('a new mould', () => {
  it('begins by what it looks like', async () => {
    fakeServer();
    open('new');
    expect(await screen.findByRole('heading', { name: 'What does the mould look like?' })).toBeVisible();
    expect(screen.getByRole('link', { name: 'A box in a box' })).toHaveAttribute('href', '/moulds/new?as=trough');
    expect(screen.getAllByRole('listitem').length).toBeGreaterThan(15);
  });
  it('of equal faces wants its open face, and follows another solid', async () => {
    fakeServer();
    open('new?as=faces');
    await userEvent.selectOptions(await screen.findByLabelText('Its faces'), '8 triangles and 6 squares');
    const opening = screen.getByLabelText('The open face, level on top');
    expect(
      within(opening)
        .getAllByRole('option')
        .map(({ textContent }) => textContent),
    ).toEqual(['A triangle', 'A square']);
    await userEvent.selectOptions(opening, 'A square');
    expect(within(answers()).getByText('Volume', { selector: 'p' })).toBeVisible();
  });
});

describe('what stands in a mould', () => {
  it('is put in, moved, copied and taken out, and the answers follow', async () => {
    fakeServer();
    open('new?as=tray');
    await userEvent.selectOptions(await screen.findByLabelText('Put something in'), 'A dowel');
    const held = () => within(answers()).getAllByText('L')[0]!.previousElementSibling!.textContent;
    const one = held();
    await userEvent.selectOptions(within(parts()).getByLabelText('How many'), 'Several on a circle');
    expect(within(parts()).getByText('× 4')).toBeVisible();
    expect(Number(held())).toBeLessThan(Number(one));
    await retype(within(parts()).getByLabelText('Right of the middle'), '400 mm');
    expect(screen.getByRole('alert')).toHaveTextContent('stands in no part of the cavity');
    await userEvent.click(within(parts()).getByRole('button', { name: 'Take A dowel out' }));
    expect(within(parts()).getByText('Nothing: the piece comes out solid.')).toBeVisible();
    expect(screen.queryByRole('alert')).toBeNull();
  });
  it('changes its form and keeps about its size', async () => {
    fakeServer();
    open('m');
    await userEvent.click(await screen.findByText('The core', { selector: 'summary *' }));
    await userEvent.selectOptions(within(parts()).getAllByLabelText('Shape')[0]!, 'Six- or eight-sided');
    expect(within(parts()).getByLabelText('Number of sides')).toHaveValue(6);
    expect(answers()).toHaveTextContent('Thinnest wall');
  });
});

describe('what is known of a mould', () => {
  it('by weighing counts before its sizes, and can be forgotten', async () => {
    fakeServer();
    open('m');
    await retype(await screen.findByLabelText('Fill weight'), '2.2 kg');
    await userEvent.click(screen.getByRole('button', { name: 'Use 2.20 L' }));
    expect(answers()).toHaveTextContent('2.20L2.02 L by its sizes');
    expect(answers()).toHaveTextContent('differ by 9 %');
    await userEvent.click(screen.getByRole('button', { name: 'Forget it' }));
    expect(answers()).not.toHaveTextContent('by its sizes');
  });
  it('is calculated for a mix: its mass, dry too, and its grain', async () => {
    fakeServer();
    open('m');
    await screen.findByRole('option', { name: 'Garden grey' });
    await userEvent.selectOptions(screen.getByLabelText('Calculated for'), 'Garden grey');
    expect(answers()).toHaveTextContent(/kg when it is dry/);
  });
  it('from its casts: how they came out, and with what on it', async () => {
    const demoulded = { demouldedAt: 26 * 3_600_000, pouredAt: 0 };
    const made = [cast('1a'), cast('1b')].map((one, i) => ({
      ...one,
      mouldId: 'm',
      snapshot: { ...one.snapshot, release: 'paste wax' },
      life: { ...one.life, ...demoulded, damage: i === 0 ? [{ spot: 'rim' as const, size: 3 }] : [] },
    }));
    fakeServer({ record: made });
    open('m');
    expect(await screen.findByText(/1 of its 2 casts came out clean, usually 26 h after the pour/)).toBeVisible();
    expect(screen.getByText('Here with paste wax: 1 of 2 came out clean.')).toBeVisible();
  });
  it('of its copies: retired, leaking, washed', async () => {
    const copies = [{ ...mould.copies[0]!, condition: 'leaks' as const, note: 'seam', lastColour: '#885544' }];
    const sent = fakeServer({ moulds: [{ ...mould, copies }] });
    open('m');
    expect(await screen.findByText('4 pours, leaks: seam')).toBeVisible();
    await userEvent.click(screen.getByText('A', { selector: 'summary *' }));
    await userEvent.click(screen.getByLabelText('Retired'));
    await userEvent.click(screen.getByRole('button', { name: 'Washed now' }));
    await userEvent.click(screen.getByRole('button', { name: 'Save mould' }));
    expect(sent[0]!.body).toMatchObject({
      copies: [{ retired: true, condition: 'leaks', washedAt: expect.any(Number) as number }],
    });
  });
  it('made again each time has no copies, but says what must be made', async () => {
    const sent = fakeServer();
    open('m');
    await userEvent.click(await screen.findByText('Single-use or rebuilt'));
    await userEvent.type(screen.getByLabelText('What is rebuilt each time'), 'The bed');
    expect(screen.queryByRole('region', { name: 'Identical moulds' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Save mould' }));
    expect(sent[0]!.body).toMatchObject({ once: true, remake: 'The bed', copies: [] });
  });
  it('wants what suits its material on it', async () => {
    fakeServer();
    open('m');
    await userEvent.selectOptions(await screen.findByLabelText('Mould material'), 'Card');
    expect(screen.getByRole('region', { name: 'Release' })).toHaveTextContent('Seals card and board');
  });
});
