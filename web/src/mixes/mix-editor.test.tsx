import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { fakeServer, mix, renderScreen, store } from '../../test/fake-server';
import { ComparePage } from './compare-page';
import { CardPage } from './card-page';
import { MixPage } from './mix-page';

const open = (id: string) => renderScreen(<MixPage />, `/mixes/${id}`, '/mixes/:id');
const field = (label: string) => screen.getByLabelText(label);
const type = async (label: string, text: string) => {
  await userEvent.clear(field(label));
  await userEvent.type(field(label), text);
};
const implied = () => screen.getByRole('region', { name: 'What it implies' });

describe('a line changed while something is held', () => {
  it('lets the binder give way for the strength, and what is half typed leaves no trace', async () => {
    fakeServer();
    open('x');
    await userEvent.selectOptions(await screen.findByLabelText('While one line changes, this stays'), 'the strength');
    const before = within(implied()).getByText('MPa', { selector: 'span' }).previousSibling!.textContent;
    await type('Parts of Sharp sand', '3.5');
    expect(within(implied()).getByText('MPa', { selector: 'span' }).previousSibling!.textContent).toBe(before);
    expect(Number(field('Parts of Grey Portland cement').getAttribute('value'))).toBeCloseTo(1.4, 1);
    await type('Parts of Sharp sand', '2.5');
    expect(Number(field('Parts of Grey Portland cement').getAttribute('value'))).toBeCloseTo(1, 2);
  });

  it('says where it cannot be held, and keeps what was typed', async () => {
    fakeServer();
    open('x');
    await userEvent.selectOptions(await screen.findByLabelText('While one line changes, this stays'), 'the strength');
    await type('Parts of Sharp sand', '900');
    expect(screen.getByRole('alert')).toHaveTextContent(/cannot stay as it is/);
    expect(field('Parts of Sharp sand')).toHaveValue('900');
  });
});

describe('pot life and set', () => {
  const region = () => implied();
  it('are the handbook’s until they are entered, and are kept with the mix', async () => {
    const sent = fakeServer();
    open('x');
    await userEvent.click(await screen.findByText('Pot life and set'));
    expect(screen.getByText('by the handbook')).toBeVisible();
    expect(field('Pot life at 20 °C, minutes')).toHaveAttribute('placeholder', '60');
    await type('Pot life at 20 °C, minutes', '300');
    expect(screen.getByText('as you entered them')).toBeVisible();
    await type('Initial set at 20 °C, hours', '2');
    expect(screen.getByText(/would be longer than its initial set/)).toBeVisible();
    await type('Pot life at 20 °C, minutes', '40');
    expect(within(region()).getByText(/^Pot life, at/)).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: /^Save/ }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({ times: { potLife: 40, initialSet: 2 } });
  });

  it('follow another binder: high-early cement makes a mix set like it', async () => {
    fakeServer();
    open('x');
    await userEvent.selectOptions(await screen.findByLabelText('Add a material'), 'High-early Portland cement');
    expect(field('Binder type')).toHaveValue('portland');
    await userEvent.click(screen.getByRole('button', { name: 'Leave Grey Portland cement out' }));
    expect(field('Binder type')).toHaveValue('high-early');
  });
});

describe('parts', () => {
  it('told by mass are the same mix, and back by volume the same parts', async () => {
    fakeServer();
    open('x');
    await userEvent.click(await screen.findByText('Mass, by the scale'));
    expect(field('Parts of Sharp sand')).toHaveValue('4');
    await userEvent.click(screen.getByText('Volume, in scoops'));
    expect(field('Parts of Sharp sand')).toHaveValue('2.5');
    await userEvent.click(screen.getByRole('button', { name: /Sharp sand is told by volume; tell it by mass/ }));
    expect(field('Parts of Sharp sand')).toHaveValue('4');
    expect(screen.getByText(/up to “single cream”/)).toBeVisible();
  });
});

describe('doses', () => {
  it('say what they are of, warn over the ceiling, are refused past the stop, and go out with the mix', async () => {
    const sent = fakeServer();
    open('x');
    await userEvent.selectOptions(await screen.findByLabelText('Add a dose'), 'Iron oxide, red');
    expect(field('Dose of Iron oxide, red')).toHaveValue('3');
    expect(screen.getByText('% of binder mass')).toBeVisible();
    await type('Dose of Iron oxide, red', '6');
    expect(within(implied()).getByText(/over the ceiling of 5 %/)).toBeVisible();
    await type('Dose of Iron oxide, red', '12');
    expect(screen.getByText(/too much powder pigment/)).toBeVisible();
    expect(screen.getByRole('button', { name: 'Save mix' })).toBeDisabled();
    await type('Dose of Iron oxide, red', '2,5');
    await userEvent.click(screen.getByRole('button', { name: 'Save mix' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({ doses: [{ materialId: 'red-oxide', amount: 0.025 }] });
  });

  it('can be taken out again', async () => {
    fakeServer({ mixes: [{ ...mix, doses: [{ materialId: 'pp-fibre', amount: 0.9 }] }] });
    open('x');
    await userEvent.click(await screen.findByRole('button', { name: 'Leave Polypropylene fibre out' }));
    expect(screen.getByText(/none yet/)).toBeVisible();
  });
});

describe('a batch of it', () => {
  const batch = () => screen.getByRole('region', { name: 'A batch of it' });
  it('is measured in the way that is proposed, or as is chosen, with what comes of each', async () => {
    fakeServer({ mixes: [{ ...mix, doses: [{ materialId: 'red-oxide', amount: 0.03 }] }] });
    open('x');
    await screen.findByRole('region', { name: 'A batch of it' });
    await waitFor(() => expect(batch()).toHaveTextContent(/Proposed: /));
    await userEvent.selectOptions(within(batch()).getByLabelText('Round scoops to'), 'whole ones');
    await userEvent.click(within(batch()).getByLabelText(/^By one scoop/));
    await waitFor(() => expect(within(batch()).getByRole('img', { name: /scoops of Sharp sand$/ })).toBeVisible());
    await userEvent.click(within(batch()).getByLabelText(/^By the scale/));
    await waitFor(() => expect(within(batch()).queryByRole('img', { name: /scoops of Sharp sand$/ })).toBeNull());
    expect(batch()).toHaveTextContent(/on the scale/);
  });
  it('is as large as one bag, a bucket or the store allows', async () => {
    const sand = { ...store.lots[0]!, id: 's', materialId: 'sharp-sand', bought: 40000, left: 3200 };
    fakeServer({ materials: { ...store, lots: [...store.lots, sand] } });
    open('x');
    await screen.findByRole('region', { name: 'A batch of it' });
    await userEvent.selectOptions(within(batch()).getByLabelText('Batch size'), 'one bag of grey Portland cement');
    await waitFor(() => expect(batch()).toHaveTextContent('25.0 kg'));
    await userEvent.selectOptions(within(batch()).getByLabelText('Batch size'), 'what is left of sharp sand');
    await waitFor(() => expect(batch()).toHaveTextContent('3.20 kg'));
    await userEvent.selectOptions(within(batch()).getByLabelText('Batch size'), 'all that the store allows');
    await waitFor(() => expect(batch()).toHaveTextContent('then sharp sand is used up'));
  });
});

describe('how it is mixed', () => {
  it('follows the choice of powder or water first, and goes out with the mix', async () => {
    const sent = fakeServer();
    open('x');
    await userEvent.click(await screen.findByText('Powder into the water'));
    expect(screen.getByText(/sift the powder into it/)).toBeVisible();
    expect(screen.getByText(/hold back .* of the powder/)).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Save mix' }));
    await waitFor(() => expect(sent[0]?.body).toMatchObject({ ways: { order: 'powder-to-water' } }));
  });
});

describe('made lighter', () => {
  it('is proposed with its cost in strength, and taken', async () => {
    fakeServer();
    open('x');
    const slab = await screen.findByRole('region', { name: 'Lighten the mix' });
    expect(slab).toHaveTextContent(/Swap \d+ % of the sand.*strength 2\d MPa → 1\d MPa/);
    await userEvent.click(within(slab).getByRole('button', { name: 'Take this recipe' }));
    expect(field('Parts of Perlite, coarse')).toBeVisible();
    expect(within(implied()).getByText(/float in a mix this wet/)).toBeVisible();
  });
});

describe('versions', () => {
  it('tell what differs from the one before', async () => {
    const { id: _, version: __, name, revision: ___, used: ____, ...body } = mix;
    const leaner = { ...body, lines: [body.lines[0], { materialId: 'sharp-sand', parts: 3 }] };
    fakeServer({
      mixes: [{ ...mix, revision: 2, used: true }],
      'mixes/x/revisions': [
        { revision: 2, name, body: leaner, madeAt: 0 },
        { revision: 1, name, body, madeAt: 0 },
      ],
    });
    open('x');
    const slab = await screen.findByRole('region', { name: 'Versions' });
    expect(slab).toHaveTextContent('What you change is kept as the next one');
    expect(slab).toHaveTextContent('Sharp sand: 2.5 by volume → 3 by volume');
  });
});

describe('a new mix', () => {
  it('begins from the library, with what it is for and not for', async () => {
    fakeServer();
    const router = renderScreen(<MixPage />, '/mixes/new', '/mixes/:id');
    const start = await screen.findByRole('link', { name: /Tufa with coir and sand/ });
    expect(start).toHaveTextContent(/For troughs.*Not for thin walls/);
    await userEvent.click(start);
    expect(router.state.location.search).toBe('?as=tufa-coir');
    expect(await screen.findByLabelText('Parts of Coir, fluffed')).toHaveValue('2');
    expect(field('Dose of Polypropylene fibre')).toHaveValue('0.9');
    expect(field('Good for')).toHaveValue('troughs that are moved, alpines');
  });
  it('says which of its materials the store does not have', async () => {
    fakeServer({ materials: { ...store, materials: store.materials.filter(({ id }) => id !== 'coir') } });
    renderScreen(<MixPage />, '/mixes/new?as=tufa-coir', '/mixes/:id');
    expect(await screen.findByText(/Not in your store.*coir, fluffed/)).toBeVisible();
  });
});

describe('side by side', () => {
  const tufa = { ...mix, id: 'y', name: 'Tufa', lines: [...mix.lines, { materialId: 'perlite', parts: 2 }] };
  it('mixes are drawn and their differences told; one can be left out', async () => {
    fakeServer({ mixes: [mix, tufa] });
    const router = renderScreen(<ComparePage />, '/mixes/compare?with=x,y', '/mixes/compare');
    const table = await screen.findByRole('region', { name: 'Drawn side by side' });
    expect(within(table).getByRole('row', { name: /^Dry density/ })).toHaveTextContent(/2\.\d+ kg\/L.*1\.\d+ kg\/L/);
    expect(screen.getByRole('region', { name: 'Differences' })).toHaveTextContent(
      'Perlite, coarse: not in it → 2 by volume',
    );
    await userEvent.click(screen.getByRole('button', { name: 'Leave Tufa out' }));
    expect(router.state.location.search).toBe('?with=x');
    await userEvent.selectOptions(screen.getByLabelText('Beside these'), 'Tufa');
    expect(screen.getByRole('region', { name: 'Differences' })).toBeVisible();
  });
  it('are offered, each by what it is made of, until two are chosen', async () => {
    fakeServer({ mixes: [mix, tufa] });
    const router = renderScreen(<ComparePage />, '/mixes/compare', '/mixes/compare');
    await userEvent.click(await screen.findByRole('button', { name: /^Tufa/ }));
    await userEvent.click(screen.getByRole('button', { name: /^Garden grey/ }));
    expect(router.state.location.search).toBe('?with=y%2Cx');
    expect(screen.getByRole('region', { name: 'Differences' })).toBeVisible();
    expect(screen.queryByRole('button', { name: /^Garden grey/ })).toBeNull();
  });
});

describe('the card', () => {
  it('tells parts, grams for a litre, doses, steps and cautions', async () => {
    fakeServer({ mixes: [{ ...mix, doses: [{ materialId: 'red-oxide', amount: 0.03 }], suits: 'pots' }] });
    renderScreen(<CardPage />, '/mixes/x/card', '/mixes/:id/card');
    const card = await screen.findByRole('article');
    expect(card).toHaveTextContent(/For pots.*2\.5 by volume.*3 % of binder mass.*never down a drain/);
  });
});
