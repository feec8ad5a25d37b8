import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import type { PourView } from '@dewpot/contract';
import { fakeServer, mould, renderScreen, store } from '../../test/fake-server';
import { PourPage } from './pour-page';

const open = (at: string) => renderScreen(<PourPage />, at, '/pours/:id');

const planned: PourView = {
  id: 'p',
  number: 8,
  version: 1,
  status: 'planned',
  input: { items: [], mixId: 'x', grade: 5, spare: 0.05, moisture: {}, scoopId: 'can', step: 0.25, temperature: 18 },
  parts: [],
};

describe('a plan', () => {
  it('is measured as is chosen, each way with what comes of it, and is sent so', async () => {
    const sent = fakeServer();
    open('/pours/new');
    const folded = await screen.findByText(/^By one scoop, the bean can, quarters/);
    expect(folded).toBeVisible();
    await userEvent.click(screen.getByText('Measuring'));
    const ways = await screen.findByRole('group', { name: 'Measure' });
    expect(within(ways).getByLabelText(/^By one scoop/)).toBeChecked();
    expect(screen.getByText(/^Proposed: one scoop alone comes out right/)).toBeVisible();
    expect(within(ways).getByText(/By the scale/)).toHaveTextContent(/ratios exact, 5 % left over, 2 measures/);
    await userEvent.click(within(ways).getByLabelText(/^By the scale/));
    const measure = await screen.findByRole('region', { name: /^Measure by the scale/ });
    expect(measure).toHaveTextContent(/kg ?on the scale/);
    await userEvent.click(screen.getByRole('button', { name: 'Save for later' }));
    await waitFor(() => expect(sent[0]).toMatchObject({ method: 'PUT', body: { measuring: 'scale' } }));
  });

  it('says what speaks against a mould with its mix, and changes it by a tap', async () => {
    fakeServer({ moulds: [{ ...mould, shape: { ...mould.shape, cores: [], inserts: [], pressed: { side: 'over', thickness: 40 } } }] }); // prettier-ignore
    open('/pours/new');
    const against = await screen.findByRole('list', { name: 'What speaks against it' });
    expect(against).toHaveTextContent(/“custard” is too wet for Nested pot, which is pressed over a form/);
    await userEvent.click(within(against).getByRole('button', { name: /Make it “stiff porridge”/ }));
    await waitFor(() => expect(screen.queryByText(/is too wet for/)).toBeNull());
    expect(screen.getByLabelText('Consistency')).toHaveDisplayValue(/stiff porridge/);
    await userEvent.click(screen.getByText(/things? (is|are) not known$/));
    expect(screen.getByText(/^Not judged, since it is not known: .*what it is for/)).toBeVisible();
  });

  it('puts a finding aside with a reason, once or for the mould with the mix, and takes it up again', async () => {
    const sent = fakeServer();
    open('/pours/new');
    const wants = /Nested pot: its core needs .* of ballast/;
    const finding = within((await screen.findByText(wants)).closest('li')!);
    await userEvent.click(finding.getByText(wants));
    expect(finding.getByText('Calculated from this mould and mix.')).toBeVisible();
    await userEvent.click(finding.getByRole('button', { name: 'This once' }));
    expect(finding.getByText(/Say why/)).toBeVisible();
    await userEvent.type(finding.getByLabelText('Put it aside, because'), 'I clamp it down');
    await userEvent.click(finding.getByRole('button', { name: 'For this mould and mix' }));
    await waitFor(() =>
      expect(sent[0]).toMatchObject({
        method: 'PUT',
        path: 'findings-aside/m/x/floating-core',
        body: { reason: 'I clamp it down' },
      }),
    );
    await userEvent.click(finding.getByRole('button', { name: 'This once' }));
    await userEvent.click(await screen.findByText('One finding is put aside'));
    expect(screen.getByRole('list', { name: 'Put aside' })).toHaveTextContent('I clamp it down');
    await userEvent.click(screen.getByRole('button', { name: 'Take it up again' }));
    expect((await screen.findByText(wants)).closest('ul')).toHaveAccessibleName('What speaks against it');
  });

  it('of a mould that is gone says so, and goes on without it', async () => {
    fakeServer({
      pours: [{ ...planned, input: { ...planned.input, items: [{ mouldId: 'm', count: 2 }, { mouldId: 'gone', count: 1 }] } }], // prettier-ignore
    });
    open('/pours/p');
    expect(await screen.findAllByText(/Mould 2 of this pour is gone/)).not.toHaveLength(0);
    await userEvent.click(screen.getByRole('button', { name: 'Leave it out' }));
    expect(await screen.findByRole('region', { name: /^Measure by one scoop/ })).toBeVisible();
  });

  it('without a scoop is weighed, and says so', async () => {
    fakeServer({ materials: { ...store, scoops: [] } });
    open('/pours/new');
    await userEvent.click(await screen.findByText('Measuring'));
    expect(await screen.findByText(/Without a scoop everything is weighed/)).toBeVisible();
    expect(await screen.findByRole('region', { name: /^Measure by the scale/ })).toBeVisible();
  });
});
