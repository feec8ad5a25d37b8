import { speakerFor } from '@dewpot/locales/testing';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { calculateMould } from '@dewpot/core/moulds';
import { fakeServer, mould, Refusal, renderScreen } from '../../test/fake-server';
import { potShape } from '../../test/stand-ins';
import { dimensionsOf } from './dimensions';
import { draftOf, inputOf, newDraft } from './draft';
import { MeasurePage } from './measure-page';
import { MouldPage } from './mould-page';
import { MouldsPage } from './moulds-page';
import { frameOf, VIEW } from './section-frame';
import { readPath, writePath } from './shape-path';
import { startsIn } from './starts';

const starts = startsIn(speakerFor());

const nestedPot = newDraft(starts[0]!).shape;

const open = (id: string) => renderScreen(<MouldPage />, `/moulds/${id}`, '/moulds/:id');

async function retype(label: string, text: string) {
  const field = screen.getByLabelText(label);
  await userEvent.clear(field);
  await userEvent.type(field, `${text}{Enter}`);
}

describe('a draft', () => {
  it('is the mould it was made from', () => {
    expect(inputOf(draftOf(mould))).toMatchObject({ name: 'Nested pot', shape: potShape, version: 3 });
  });
  it.each(starts.map((start) => [start.name, start] as const))('of %s can be cast as it begins', (_, start) => {
    const { shape, flexibility, piece } = newDraft(start);
    expect(calculateMould(shape, { flexibility, piece }).volume.value).toBeGreaterThan(50);
  });
});

describe('the sizes of a shape', () => {
  it('follow each other: a core stays up to the rim, a plug stays through the base', () => {
    const taller = writePath(nestedPot, 'outer.height', 200);
    expect(taller.cores[0]!.solid).toMatchObject({ height: 182 });
    const thicker = writePath(nestedPot, 'cores.0.bottom', 25);
    expect(thicker.cores[0]!.solid).toMatchObject({ height: 155 });
    expect(thicker.inserts[0]!.solid).toMatchObject({ height: 25 });
    expect(readPath(writePath(nestedPot, 'outer.height', undefined), 'outer.height')).toBeUndefined();
    expect(nestedPot.outer).toMatchObject({ height: 180 });
  });
});

describe('the drawing', () => {
  it('is true to scale: as wide to high as the mould', () => {
    const { x, y } = frameOf(potShape);
    const width = x(100) - x(-100);
    const height = y(0) - y(180);
    expect(width / height).toBeCloseTo(200 / 180, 6);
    expect(x(-100)).toBeGreaterThanOrEqual(VIEW.left - 1e-6);
    expect(y(180)).toBeGreaterThanOrEqual(VIEW.top - 1e-6);
  });
  it('keeps every dimension inside, and none of their fields upon another', () => {
    const all = dimensionsOf(potShape, frameOf(potShape));
    for (const { field } of all) {
      expect(field[0]).toBeGreaterThan(40);
      expect(field[1]).toBeLessThan(frameOf(potShape).height);
    }
    for (const [i, one] of all.entries()) {
      for (const other of all.slice(i + 1)) {
        const apart = Math.abs(one.field[0] - other.field[0]) > 80 || Math.abs(one.field[1] - other.field[1]) > 34;
        expect(apart, `${one.path} and ${other.path}`).toBe(true);
      }
    }
  });
});

describe('the mould’s screen', () => {
  it('answers at once as a measurement changes, by the figures of the core', async () => {
    fakeServer();
    open('m');
    await screen.findByDisplayValue('Nested pot');
    await retype('Inside height', '20 cm');
    const taller = {
      ...potShape,
      outer: { ...potShape.outer, height: 200 },
      cores: [{ ...potShape.cores[0]!, solid: { ...potShape.cores[0]!.solid, height: 182 } }],
    };
    const litres = (calculateMould(taller, { flexibility: 'rigid', piece: 'pot' }).volume.value / 1000).toFixed(2);
    expect(within(screen.getByRole('region', { name: 'What follows' })).getByText(litres)).toBeVisible();
  });

  it('moves the fill line by the keys and tells the volume', async () => {
    fakeServer();
    open('m');
    const line = await screen.findByRole('slider', { name: 'Fill line' });
    expect(line).toHaveAttribute('aria-valuenow', '180');
    line.focus();
    await userEvent.keyboard('{Home}{PageUp}{ArrowUp}{ArrowDown}');
    expect(line).toHaveAttribute('aria-valuenow', '10');
    expect(line.getAttribute('aria-valuetext')).toMatch(/10\.0 mm high, \d+ mL/);
    await userEvent.keyboard('{End}{ArrowUp}');
    expect(line).toHaveAttribute('aria-valuenow', '180');
  });

  it('names what cannot be, keeps it, and does not save it', async () => {
    const sent = fakeServer();
    open('m');
    await screen.findByDisplayValue('Nested pot');
    await retype('Core’s diameter at the rim', '230 mm');
    expect(screen.getByRole('alert')).toHaveTextContent(/must be narrower than the mould around it/);
    expect(screen.getByLabelText('Core’s diameter at the rim')).toHaveValue('230 mm');
    expect(screen.getByRole('button', { name: 'Save mould' })).toBeDisabled();
    expect(screen.getByRole('slider', { name: 'Fill line' })).toBeVisible();
    expect(sent).toEqual([]);
  });

  it('wants a name, then saves a new mould under a key of its own', async () => {
    const sent = fakeServer();
    open('new?as=tubs');
    await userEvent.clear(await screen.findByLabelText('Name'));
    await userEvent.click(screen.getByRole('button', { name: 'Save mould' }));
    expect(screen.getByText(/Give it a name/)).toBeVisible();
    await userEvent.type(screen.getByLabelText('Name'), '  Tall herb pot ');
    await userEvent.click(screen.getByRole('button', { name: 'One more' }));
    await userEvent.click(screen.getByText('Flexible'));
    await userEvent.click(screen.getByRole('button', { name: 'Save mould' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      method: 'PUT',
      body: { name: 'Tall herb pot', flexibility: 'flexible', version: 0 },
    });
    expect((sent[0]!.body as { copies: { mark: string }[] }).copies.map(({ mark }) => mark)).toEqual(['A', 'B']);
    expect(sent[0]!.path).toMatch(/^moulds\/[0-9a-f-]{36}$/);
  });

  it('whose edit is stale keeps what was typed and offers both ways', async () => {
    const current = { ...mould, version: 7, name: 'Theirs' };
    const sent = fakeServer({
      'PUT moulds': new Refusal({
        title: 'Someone changed this meanwhile',
        status: 409,
        detail: 'Stale.',
        errors: [],
        current,
      }),
    });
    open('m');
    const name = await screen.findByLabelText('Name');
    await userEvent.clear(name);
    await userEvent.type(name, 'Mine');
    await userEvent.click(screen.getByRole('button', { name: 'Save mould' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('Someone changed this meanwhile');
    expect(name).toHaveValue('Mine');
    await userEvent.click(screen.getByRole('button', { name: 'Save mine' }));
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent[1]).toMatchObject({ body: { name: 'Mine', version: 7 } });
  });
});

describe('how much anything holds', () => {
  const answer = () => screen.getByRole('region', { name: 'Answer' });
  it.each([
    ['A pail, a tub or a pipe', '4.60'],
    ['A six- or eight-sided pot', '4.95'],
    ['Strips round nails, a ring', '1.72'],
    ['A strip in a spiral', '1.99'],
    ['A solid of equal faces', '2.63'],
    ['A big leaf', '1.44'],
  ])('%s is drawn and calculated at once', async (name, litres) => {
    fakeServer();
    renderScreen(<MeasurePage />);
    await userEvent.click(screen.getByRole('button', { name }));
    expect(within(answer()).getByText(litres)).toBeVisible();
    expect(screen.getByRole('region', { name: 'Drawing' }).querySelectorAll('path').length).toBeGreaterThan(0);
  });

  it('in the caster’s own scoops, and says what is wrong by its field without losing it', async () => {
    fakeServer();
    renderScreen(<MeasurePage />);
    await userEvent.click(screen.getByRole('button', { name: 'A six- or eight-sided pot' }));
    expect(await screen.findByText('12¼')).toBeVisible();
    const sides = screen.getByLabelText('Number of sides');
    await userEvent.clear(sides);
    await userEvent.type(sides, '2.5');
    expect(sides).toHaveAccessibleDescription(/Enter at least 3/);
    expect(answer()).toHaveTextContent('Mend the measurements');
    await userEvent.clear(sides);
    await userEvent.type(sides, '8');
    await retype('Height', '10 in');
    expect(screen.getByLabelText('Height')).toHaveValue('254 mm');
    expect(within(answer()).getByText('Volume', { selector: 'p' })).toBeVisible();
  });
});

describe('all moulds', () => {
  it('stand with what they hold', async () => {
    fakeServer();
    renderScreen(<MouldsPage />);
    expect(await screen.findByRole('link', { name: /Nested pot pot, 3 copies, 10 pours 2\.0[12] L/ })).toBeVisible();
  });
  it('and where there are none, the first is offered', async () => {
    fakeServer({ moulds: [] });
    renderScreen(<MouldsPage />);
    expect(await screen.findByRole('heading', { name: 'No moulds yet' })).toBeVisible();
    expect(screen.getAllByRole('link', { name: 'Measure a mould' })).toHaveLength(2);
  });
});
