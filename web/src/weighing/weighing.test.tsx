import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import type { Due } from '@dewpot/core/casts';
import { fakeServer, Refusal, renderScreen } from '../../test/fake-server';
import { cast, castDetail, DAY, HOUR } from '../../test/stand-ins';
import { WeighingPage } from './weighing-page';

const weigh: Due = { task: 'weigh', early: Date.now() - DAY, good: Date.now() - HOUR, late: Date.now() + DAY };
const due = (code: string, over: object = {}) => cast(code, { dues: [weigh], ...over });
const sure = {
  title: 'Is it the right piece?',
  status: 422,
  detail: 'The scale reads 3.00 kg; 1a should weigh about 4.20 kg.',
  errors: [{ field: 'sure', value: 3000, message: 'far', remedy: 'Weigh it again, or say that it is right.' }],
};

describe('a round of weighing', () => {
  it('goes from piece to piece, and ends', async () => {
    const one = due('1a');
    const two = due('2a');
    const sent = fakeServer({ casts: [one, two], 'POST casts': castDetail(one) });
    renderScreen(<WeighingPage />);
    expect(await screen.findByRole('heading', { name: '1a' })).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Save, next piece' }));
    expect(screen.getByRole('alert')).toHaveTextContent('Nothing was weighed yet');
    await userEvent.type(screen.getByLabelText(/Or typed/), '9.25 lb');
    await userEvent.click(screen.getByRole('button', { name: 'Save, next piece' }));
    expect(await screen.findByRole('heading', { name: '2a' })).toBeVisible();
    expect(sent[0]!.body).toMatchObject({ type: 'weighed', mass: expect.closeTo(4195.7, 0) });
    await userEvent.click(screen.getByRole('button', { name: 'Leave it out' }));
    expect(screen.getByText('All weighed')).toBeVisible();
  });

  it('asks whether it is the right piece, and keeps it under the same key once that is said', async () => {
    const one = due('1a');
    const sent = fakeServer({ casts: [one], 'POST casts': new Refusal(sure) });
    renderScreen(<WeighingPage />);
    await userEvent.type(await screen.findByLabelText(/Or typed/), '3 kg');
    await userEvent.click(screen.getByRole('button', { name: 'Save, next piece' }));
    await userEvent.click(await screen.findByRole('button', { name: 'It is right: keep it' }));
    await waitFor(() => expect(sent).toHaveLength(2));
    const [first, second] = sent.map(({ body }) => body as { id: string; sure?: boolean });
    expect(second!.id).toBe(first!.id);
    expect([first!.sure, second!.sure]).toEqual([undefined, true]);
  });

  it('puts small like pieces on the scale together, each with its share', async () => {
    const small = (code: string) => due(code, { expected: { fresh: 330, dry: 290, solids: 280, loss: 20 } });
    const sent = fakeServer({ casts: [small('5a'), small('5b')], 'POST casts': castDetail(small('5a')) });
    renderScreen(<WeighingPage />);
    expect(await screen.findByRole('heading', { name: '2 together' })).toBeVisible();
    await userEvent.type(screen.getByLabelText(/Or typed/), '610 g');
    await userEvent.click(screen.getByRole('button', { name: 'Save, next piece' }));
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent.map(({ body }) => body)).toMatchObject([
      { mass: 305, together: 2 },
      { mass: 305, together: 2 },
    ]);
  });

  it('says so where nothing wants weighing', async () => {
    const later = { task: 'weigh', early: Date.now() + 5 * HOUR, good: Date.now() + 9 * HOUR, late: Date.now() + 40 * HOUR } as const; // prettier-ignore
    fakeServer({ casts: [cast('1a', { dues: [] }), cast('1b', { dues: [later] })] });
    renderScreen(<WeighingPage />);
    expect(await screen.findByText('Nothing is due to be weighed')).toBeVisible();
    const next = screen.getByRole('region', { name: 'To be weighed next' });
    expect(within(next).getByRole('link')).toHaveTextContent(/^1b.*from /);
  });
});
