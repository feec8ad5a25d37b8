import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { renderInside, session } from '../../test/stand-ins';
import { NotSetUp } from '../shell/not-set-up';
import { SetUpPage } from './set-up-page';

const type = async (label: string, text: string) => {
  const field = screen.getByLabelText(label);
  await userEvent.clear(field);
  await userEvent.type(field, text);
};

describe('a new workshop', () => {
  it('is asked for scoop, bucket, scale and air, and keeps what was said', async () => {
    const sent = fakeServer({ 'PUT workshop': session });
    renderScreen(<SetUpPage />, '/set-up', '/set-up');
    await screen.findByRole('heading', { name: 'What do you work with?' });
    await type('Your scoop', 'the bean can');
    await type('It holds, struck level', '400 mL');
    await type('Your bucket holds, to its brim', '12 L');
    await userEvent.click(screen.getByLabelText('5 g'));
    await type('Where your casts stand', 'the lean-to');
    await type('Temperature where casts stand', '12');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(sent).toHaveLength(3));
    expect(sent.map(({ path }) => path.split('/')[0])).toEqual(['scoops', 'places', 'workshop']);
    expect(sent[0]!.body).toMatchObject({ name: 'the bean can', volume: 400 });
    expect(sent[1]!.body).toMatchObject({
      name: 'the lean-to',
      source: 'typed',
      typed: { temperature: 12, humidity: 0.65 },
    });
    expect(sent[2]!.body).toMatchObject({ bucket: 12_000, scaleStep: 5, setUp: true });
  });

  it('may leave all of it out: then nothing but that is kept', async () => {
    const sent = fakeServer({ 'PUT workshop': session });
    renderScreen(<SetUpPage />, '/set-up', '/set-up');
    await userEvent.click(await screen.findByRole('button', { name: 'Save' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toMatchObject({ bucket: 14_000, setUp: true });
  });

  it('may weigh the water that fills its scoop, and say at once what it reads, counts and pays in', async () => {
    const sent = fakeServer({ 'PUT workshop': session, 'PUT account/language': {} });
    renderScreen(<SetUpPage />, '/set-up', '/set-up');
    await screen.findByRole('heading', { name: 'What do you work with?' });
    await type('The water that fills it weighs (1 g is 1 mL)', '385 g');
    await userEvent.tab();
    expect(screen.getByLabelText('It holds, struck level')).toHaveDisplayValue('385 mL');
    await userEvent.click(screen.getByLabelText(/US customary/));
    await userEvent.click(screen.getByLabelText('Español'));
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent.map(({ path }) => path)).toEqual(['workshop', 'account/language']);
    expect(sent[0]!.body).toMatchObject({ units: 'us', setUp: session.workshop.setUp });
    expect(sent[1]!.body).toEqual({ language: 'es' });
    expect(screen.getByLabelText('It holds, struck level')).toHaveDisplayValue('385 mL');
  });

  it('is told what is assumed until it has said', () => {
    renderInside(<NotSetUp />, { setUp: false });
    expect(screen.getByRole('note')).toHaveTextContent(/A bucket of 14.* and a scale of 1.* are assumed/);
  });
});
