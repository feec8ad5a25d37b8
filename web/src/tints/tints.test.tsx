import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { parse } from 'papaparse';
import { colourDifference } from '@dewpot/core/tints';
import type { TintsView } from '@dewpot/contract';
import { brick, fakeServer, paletteOf, redChip, Refusal, renderScreen, straw } from '../../test/fake-server';
import { BookPage } from './book-page';
import { ChipsPage } from './chips-page';
import { LadderPage } from './dose-series-page';
import { TintPage } from './tint-page';
import { TintsPage } from './tints-page';
import { bookCsv, tintsJson } from './tint-files';
import { dryOf } from './tint-words';
import { WantedPage } from './wanted-page';
import { WaysPage } from './after-curing-page';

const measured = { ...redChip, measured: { colour: '#b1563f', by: 'reader' as const, at: redChip.castAt! + 1 } };
const withChips = (...swatches: TintsView['swatches']) => ({ tints: { tints: [brick, straw], swatches } });

describe('the list of tints', () => {
  it('shows each dry and wet with its doses, and asks for chip one of a pigment that none told of', async () => {
    fakeServer(withChips(measured));
    renderScreen(<TintsPage />);
    expect(await screen.findByRole('img', { name: 'Old brick, dry and wet' })).toBeVisible();
    expect(screen.getByRole('img', { name: 'Straw, somewhere between these' })).toBeVisible();
    expect(screen.getByText('2 % iron oxide, red, on white Portland cement')).toBeVisible();
    const pigments = within(screen.getByRole('region', { name: 'Pigments' }));
    expect(pigments.getByText(/from 1 chip: error ΔE/)).toBeVisible();
    expect(pigments.getAllByRole('link', { name: 'No chip yet: cast chip one' }).length).toBeGreaterThan(3);
    expect(pigments.getByText('Fades in cement, lime and sun.')).toBeVisible();
  });

  it('that is empty says what to do first', async () => {
    fakeServer({ tints: { tints: [], swatches: [] } });
    renderScreen(<TintsPage />);
    expect(await screen.findByRole('heading', { name: 'No tints yet' })).toBeVisible();
    expect(screen.getAllByRole('link', { name: 'Match a colour' }).length).toBe(2);
  });
});

describe('a tint as it is mixed', () => {
  const open = () => renderScreen(<TintPage />, '/tints/brick', '/tints/:id');

  it('follows its slider, and warns over the ceiling before it refuses', async () => {
    fakeServer();
    open();
    const face = async () => (await screen.findByText(/^#[0-9a-f]{6}$/)).textContent!;
    const before = await face();
    fireEvent.change(screen.getByLabelText('Iron oxide, red, by eye'), { target: { value: '0.06' } });
    expect(colourDifference(before, await face())).toBeGreaterThan(1);
    expect(screen.getByText(/over its ceiling of 5 % of binder mass/)).toBeVisible();
    expect(screen.getByText('So much pigment costs 2 % of the strength.')).toBeVisible();
    const typed = screen.getByLabelText('Dose of Iron oxide, red, per cent of the binder');
    await userEvent.clear(typed);
    await userEvent.type(typed, '12');
    expect(screen.getByText(/too much powder pigment/)).toBeVisible();
    expect(screen.getByRole('button', { name: 'Save tint' })).toBeDisabled();
  });

  it('shows every look by name, and what it rests on', async () => {
    fakeServer();
    open();
    for (const look of ['cured and dry', 'fresh in the bucket', 'wet by rain', 'under a film sealer'])
      expect((await screen.findAllByText(new RegExp(look))).length).toBeGreaterThan(0);
    expect(screen.getByText(/No chip yet of iron oxide, red: it may come out anywhere between these/)).toBeVisible();
  });

  it('too little for the scale is offered as a stock to dose by mL', async () => {
    fakeServer();
    open();
    const batch = await screen.findByLabelText('For a batch of');
    await userEvent.clear(batch);
    await userEvent.type(batch, '100 mL{Tab}');
    expect(await screen.findByText(/Too little for this scale: stir 50 g into 100 mL of counted water/)).toBeVisible();
    expect(screen.getByText(/From .* of mix on, rounding is never seen on this scale/)).toBeVisible();
  });

  it('that somebody else changed meanwhile keeps what was typed, and can be kept over theirs', async () => {
    const stale = new Refusal({
      title: 'Someone changed this meanwhile',
      status: 409,
      detail: 'Another browser saved tint after you opened it.',
      errors: [],
      current: { ...brick, version: 9 },
    });
    const sent = fakeServer({ 'PUT tints': stale });
    open();
    const name = await screen.findByLabelText('Name');
    await userEvent.clear(name);
    await userEvent.type(name, 'Kiln brick');
    await userEvent.click(screen.getByRole('button', { name: 'Save tint' }));
    expect(await screen.findByText('Someone changed this meanwhile')).toBeVisible();
    expect(name).toHaveValue('Kiln brick');
    await userEvent.click(screen.getByRole('button', { name: 'Save mine' }));
    await waitFor(() => expect(sent.at(-1)!.body).toMatchObject({ name: 'Kiln brick', version: 9 }));
  });

  it('comes out of a search with its doses in the address', async () => {
    const sent = fakeServer();
    renderScreen(
      <TintPage />,
      '/tints/new?binder=white-cement&sand=fine-sand&doses=red-oxide:0.012,carbon-black:0.001',
      '/tints/:id',
    );
    await userEvent.click(await screen.findByRole('button', { name: 'Save tint' }));
    expect(screen.getByText('Give it a name, such as “Old brick”.')).toBeVisible();
    await userEvent.type(screen.getByLabelText('Name'), 'Found');
    await userEvent.click(screen.getByRole('button', { name: 'Save tint' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({
      name: 'Found',
      doses: [
        { materialId: 'red-oxide', amount: 0.012 },
        { materialId: 'carbon-black', amount: 0.001 },
      ],
      version: 0,
    });
  });
});

describe('a chip', () => {
  it('is read by the reader, and predicted better once it is measured', async () => {
    const reading = {
      device: 'Simulated colour reader',
      colour: '#b1563f',
      touches: ['#b1563f', '#b25640', '#b0563f'],
      spread: 0.4,
      damp: false,
    };
    const sent = fakeServer({ ...withChips(redChip), 'POST swatches': reading });
    renderScreen(<ChipsPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'Measure its colour' }));
    const keep = screen.getByRole('button', { name: 'Save' });
    expect(keep).toBeDisabled();
    await userEvent.click(screen.getByRole('button', { name: 'Lay the reader on the chip' }));
    expect(await screen.findByText(/3 touches, within ΔE 0.4 of each other/)).toBeVisible();
    await userEvent.click(keep);
    await waitFor(() => expect(sent.at(-1)!.method).toBe('PUT'));
    expect(sent.at(-1)!.body).toMatchObject({ measured: { colour: '#b1563f', by: 'reader' }, version: 1 });
    const off = (swatches: TintsView['swatches']) =>
      colourDifference(dryOf(redChip, paletteOf({ swatches }))!, '#b1563f');
    expect(off([measured])).toBeLessThan(off([]) / 2);
  });

  it('that is still damp is not taken, and one judged by eye teaches nothing', async () => {
    const damp = { device: 'r', colour: '#703020', touches: ['#703020'], spread: 0, damp: true };
    fakeServer({ ...withChips({ ...measured, measured: { ...measured.measured, by: 'eye' } }), 'POST swatches': damp });
    renderScreen(<ChipsPage />);
    expect(await screen.findByText('Too unsure to learn from.')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Measure again' }));
    await userEvent.click(screen.getByRole('button', { name: 'Lay the reader on the chip' }));
    expect(await screen.findByText(/still damp and reads darker/)).toBeVisible();
    expect(screen.getByRole('button', { name: 'Save' })).toBeDisabled();
    const byEye = { ...measured, measured: { ...measured.measured, by: 'eye' as const } };
    expect(paletteOf({ swatches: [byEye] }).colours.pigments.size).toBe(0);
  });

  it('of colour from a bottle becomes a dose by weighing it before and after', async () => {
    const sent = fakeServer(withChips(redChip));
    renderScreen(<ChipsPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'Change' }));
    await userEvent.click(screen.getByText(/From a bottle, by squirts/));
    const type = async (label: string, text: string) => {
      await userEvent.clear(screen.getByLabelText(label));
      await userEvent.type(screen.getByLabelText(label), text);
    };
    await type('Before, g', '250');
    await type('After, g', '246.5');
    await type('Into binder, g', '100');
    expect(screen.getByText(/That was 3.50 % of the binder/)).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Take that as the dose' }));
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect((sent[0]!.body as typeof redChip).doses[0]!.amount).toBeCloseTo(0.035, 9);
  });

  it('is offered in a photo that is no picture with a plain word', async () => {
    fakeServer(withChips(redChip));
    vi.stubGlobal('createImageBitmap', () => Promise.reject(new Error('no')));
    renderScreen(<ChipsPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'Measure its colour' }));
    await userEvent.click(screen.getByText('from a photo'));
    await userEvent.upload(
      screen.getByLabelText('A photo with the colour'),
      new File(['not a picture'], 'notes.png', { type: 'image/png' }),
    );
    expect(await screen.findByText(/notes.png is not a picture/)).toBeVisible();
  });
});

describe('a ladder of doses', () => {
  it('weighs each chip, and notes them all as planned', async () => {
    const sent = fakeServer();
    renderScreen(<LadderPage />, '/here?pigment=chromium-green');
    expect(await screen.findByRole('heading', { name: /Chromium-oxide green on white Portland cement/ })).toBeVisible();
    const strip = within(screen.getByRole('region', { name: 'Dose series' }));
    expect(strip.getAllByRole('listitem')).toHaveLength(5);
    expect(strip.getByText(/too coarse for this: stir 50 g of pigment into 100 mL/)).toBeVisible();
    const doses = screen.getByLabelText('Doses, % of the binder');
    await userEvent.clear(doses);
    await userEvent.type(doses, '1  12');
    expect(screen.getByText(/12 % of binder mass is too much/)).toBeVisible();
    await userEvent.clear(doses);
    await userEvent.type(doses, '1  2.5');
    await userEvent.click(screen.getByRole('button', { name: 'Note these 2 as planned' }));
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent[1]!.body).toMatchObject({ name: 'Chromium-oxide green 2.5 %', doses: [{ amount: 0.025 }] });
    expect(sent[1]!.body).not.toHaveProperty('castAt');
  });

  it('begins with one chip for a pigment that is new', async () => {
    fakeServer();
    renderScreen(<LadderPage />, '/here?pigment=brown-oxide&chips=1');
    expect(await screen.findByRole('button', { name: 'Note it as planned' })).toBeVisible();
    expect(screen.getByLabelText('Pigment')).toHaveValue('brown-oxide');
  });
});

describe('a wanted colour', () => {
  it('is looked for in a worker, whose answer stands beside it, and can be stopped', async () => {
    fakeServer();
    const ended = vi.fn();
    vi.stubGlobal('Worker', class { addEventListener() {} removeEventListener() {} postMessage() {} terminate = ended; }); // prettier-ignore
    renderScreen(<WantedPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'Find the doses' }));
    expect(screen.getByRole('progressbar', { name: 'Searching' })).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Stop' }));
    expect(ended).toHaveBeenCalled();
    expect(screen.queryByRole('progressbar')).toBeNull();
  });

  it('can be that of an earlier cast or tint', async () => {
    fakeServer(withChips(measured));
    renderScreen(<WantedPage />);
    const have = within(await screen.findByRole('region', { name: 'What comes near' }));
    const [nearest] = have.getAllByRole('listitem');
    expect(nearest).toHaveTextContent(/ΔE/);
    expect(have.getByRole('link', { name: /Red 2 % \(chip\)/ })).toHaveAttribute('href', '/tints/chips');
    await userEvent.click(await screen.findByText('an earlier cast'));
    await userEvent.click(await screen.findByRole('button', { name: 'Red 2 % (chip)' }));
    expect(screen.getByRole('img', { name: 'The colour you want, #b1563f' })).toBeVisible();
  });
});

describe('the swatch book', () => {
  it('stands by hue and lightness, and goes out as a table and as JSON by names', async () => {
    fakeServer(withChips(measured));
    renderScreen(<BookPage />);
    const reds = within(await screen.findByRole('region', { name: 'Reds' }));
    expect(reds.getAllByRole('listitem').map((one) => one.textContent)).toEqual([
      expect.stringContaining('Red 2 %'),
      expect.stringContaining('Old brick'),
    ]);
    const palette = paletteOf({ swatches: [measured] });
    const rows = parse<Record<string, string>>(bookCsv(palette), { header: true }).data;
    expect(rows.map(({ kind, name }) => [kind, name])).toEqual([
      ['tint', 'Old brick'],
      ['tint', 'Straw'],
      ['chip', 'Red 2 %'],
    ]);
    expect(rows[2]).toMatchObject({
      binder: 'White Portland cement',
      doses: 'Iron oxide, red 2 %',
      measured: '#b1563f',
    });
    const file = JSON.parse(tintsJson(palette)) as { format: string; tints: object[]; swatches: object[] };
    expect(file).toMatchObject({
      format: 'dew-pot-tints',
      tints: [{ name: 'Old brick', base: { binder: 'White Portland cement', sand: 'Fine sand' } }, {}],
      swatches: [{ name: 'Red 2 %', doses: [{ material: 'Iron oxide, red', amount: 0.02 }] }],
    });
  });

  it('reads a file only after saying what it would change, and refuses one that is none', async () => {
    const view = { things: [{ kind: 'tint', name: 'Slate', does: 'new', differences: [] }], done: false };
    const sent = fakeServer({ 'POST tints': view });
    renderScreen(<BookPage />);
    const input = await screen.findByLabelText('A file of tints');
    await userEvent.upload(input, new File(['{ no'], 'x.json', { type: 'application/json' }));
    expect(await screen.findByText(/x.json holds no JSON/)).toBeVisible();
    await userEvent.upload(input, new File(['{"format":"dew-pot-tints"}'], 'y.json', { type: 'application/json' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Take 1 in' }));
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent.map(({ body }) => (body as { dry: boolean }).dry)).toEqual([true, false]);
  });
});

describe('terrazzo', () => {
  it('tells how much of the face is chips, which is none before it is sanded', async () => {
    renderScreen(<WaysPage />);
    expect(screen.getByText('10 %')).toBeVisible();
    fireEvent.change(screen.getByLabelText(/Sanded off/), { target: { value: '0' } });
    expect(screen.getByText('0 %')).toBeVisible();
    expect(screen.getByText(/Few chips are open yet/)).toBeVisible();
    expect(screen.getByRole('heading', { name: 'Foil' })).toBeVisible();
  });
});
