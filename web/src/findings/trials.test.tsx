import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { trialSize, trialStandings, type TrialPlan } from '@dewpot/core/findings';
import type { TrialView } from '@dewpot/contract';
import { fakeServer, Refusal, renderScreen } from '../../test/fake-server';
import { TrialPage } from './trial-page';
import { TrialsSlab } from './trials-slab';

const PATH = '/findings/trials/:id';
const plan: TrialPlan = { kind: 'release', a: 'plant oil', b: 'paste wax', worse: 0.6, better: 0.9, mouldId: 'm' };
const [standing] = trialStandings([{ id: 't', plan, setting: 2 }], []);
const trial = (more: Partial<TrialView> = {}): TrialView => ({ id: 't', version: 3, name: 'Wax against oil', ...plan, standing: standing!, gone: false, ...more }); // prettier-ignore

interface Asked {
  readonly worse: number;
  readonly better: number;
}
const size = { 'POST calculate': (asked: Asked) => trialSize(asked.worse, asked.better) };

describe('a trial', () => {
  it('is planned by what changes and what is hoped for, and told how many casts it takes', async () => {
    const sent = fakeServer({ ...size, trials: [] });
    const router = renderScreen(<TrialPage />, '/findings/trials/new', PATH);
    const user = userEvent.setup();
    expect(await screen.findByText('23 a side')).toBeVisible();
    await user.selectOptions(screen.getByLabelText('What is tried instead'), 'soap');
    expect(screen.getByLabelText('Name of the trial')).toHaveValue('Soap against plant oil');
    await user.selectOptions(screen.getByLabelText('Good casts hoped for'), '50 %');
    expect(screen.getByRole('alert')).toBeVisible();
    await user.selectOptions(screen.getByLabelText('Good casts hoped for'), '65 %');
    expect(await screen.findByText(/Even so many may not tell them apart/)).toBeVisible();
    await user.selectOptions(screen.getByLabelText('Good casts hoped for'), '95 %');
    await user.selectOptions(screen.getByLabelText('Only this mould'), 'Nested pot');
    await user.selectOptions(screen.getByLabelText('What is watched'), 'Stuck core');
    await user.click(screen.getByRole('button', { name: 'Begin this trial' }));
    const kept = sent.find(({ method }) => method === 'PUT');
    expect(kept?.body).toEqual({ kind: 'release', a: 'plant oil', b: 'soap', worse: 0.6, better: 0.95, mouldId: 'm', watched: 'stuck-core', name: 'Soap against plant oil', version: 0 }); // prettier-ignore
    expect(router.state.location.pathname).toBe(`/${kept!.path.replace('trials', 'findings/trials')}`);
  });

  it('goes out as a plan, and is tried elsewhere on what is there; what is no plan is told', async () => {
    fakeServer({ ...size, trials: [trial({ watched: 'stuck-core' })] });
    const held = vi.fn((_: Blob) => 'blob:x');
    vi.stubGlobal('URL', Object.assign(URL, { createObjectURL: held, revokeObjectURL: () => {} }));
    renderScreen(<TrialPage />, '/findings/trials/t', PATH);
    const user = userEvent.setup();
    await user.click(await screen.findByRole('button', { name: 'To share (JSON)' }));
    const file = await held.mock.lastCall![0].text();
    expect(JSON.parse(file)).toEqual({ format: 'dew-pot-trial', version: 1, trial: { name: 'Wax against oil', kind: 'release', a: 'plant oil', b: 'paste wax', worse: 0.6, better: 0.9, watched: 'stuck-core' } }); // prettier-ignore
    cleanup();
    renderScreen(<TrialPage />, '/findings/trials/new', PATH);
    const input = await screen.findByLabelText('File of a trial');
    await user.upload(input, new File(['{"format":"else"}'], 'a.json', { type: 'application/json' }));
    expect(await screen.findByText(/no such file of Dew Pot’s/)).toBeVisible();
    await user.upload(input, new File([file.replace('plant oil', 'soap')], 'b.json', { type: 'application/json' }));
    expect(await screen.findByDisplayValue('Wax against oil')).toBeVisible();
    expect(screen.queryByText(/no such file/)).toBeNull();
    expect(screen.getByLabelText('What is watched')).toHaveValue('stuck-core');
    expect(screen.getByLabelText('Only this mould')).toHaveValue('');
  });

  it('of something else wants both ways in words, and keeps what was typed where it is refused', async () => {
    const problem = {
      title: 'That cannot be',
      status: 422,
      detail: 'Both ways are the same: there is nothing to try.',
      errors: [],
    };
    fakeServer({ ...size, trials: [], 'PUT trials': new Refusal(problem) });
    renderScreen(<TrialPage />, '/findings/trials/new', PATH);
    const user = userEvent.setup();
    await user.click(await screen.findByLabelText('Something else'));
    const begin = screen.getByRole('button', { name: 'Begin this trial' });
    expect(begin).toBeDisabled();
    await user.type(screen.getByLabelText('How it is done now'), 'not tapped');
    await user.type(screen.getByLabelText('What is tried instead'), 'not tapped');
    await user.click(begin);
    expect(await screen.findByText(/nothing to try/)).toBeVisible();
    expect(screen.getByLabelText('What is tried instead')).toHaveValue('not tapped');
  });

  it('tells how far it has come, what is still in its mould, and ends with a usual way', async () => {
    const sent = fakeServer({ trials: [trial()] });
    renderScreen(<TrialPage />, '/findings/trials/t', PATH);
    expect(await screen.findByText('Too few to say.')).toBeVisible();
    expect(screen.getByText(/46 casts to go\. 2 are still in the mould\./)).toBeVisible();
    expect(screen.getByText(/Watched: anything wrong at all\. Mould: Nested pot\./)).toBeVisible();
    expect(screen.getByRole('link', { name: 'Plan a pour for it' })).toHaveAttribute('href', '/pours/new?mould=m&trial=t');
    await userEvent.click(screen.getByRole('button', { name: 'Keep: paste wax' }));
    expect(sent.at(-1)).toMatchObject({ method: 'POST', path: 'trials/t/close', body: { keep: 'b', version: 3 } });
  }); // prettier-ignore

  it('says its answer, and who was better where nobody expected it', async () => {
    const judged = { better: 'a' as const, chance: 0.97, verdict: 'leans' as const, complete: true };
    const counted = { ...standing!, a: { good: 20, casts: 23 }, b: { good: 12, casts: 23 }, waiting: 0, judged };
    fakeServer({ trials: [trial({ standing: counted, closed: { at: Date.UTC(2026, 4, 3), keep: 'a' } })] });
    renderScreen(<TrialPage />, '/findings/trials/t', PATH);
    expect(await screen.findByText('Leans: plant oil rather than paste wax.')).toBeVisible();
    const row = screen.getByRole('row', { name: /plant oil/ });
    expect(within(row).getByText('20 of 23')).toBeVisible();
    expect(screen.getByText(/Closed on .*plant oil is the usual way since\./)).toBeVisible();
    expect(screen.queryByRole('button', { name: /^Keep/ })).toBeNull();
  });

  it('whose mould was removed says so, and takes no more pours', async () => {
    fakeServer({ trials: [trial({ gone: true })] });
    renderScreen(<TrialPage />, '/findings/trials/t', PATH);
    expect(await screen.findByText(/Its mould or its mix was removed/)).toBeVisible();
    expect(screen.queryByRole('link', { name: 'Plan a pour for it' })).toBeNull();
  });

  it('stands among the findings with what it says', async () => {
    fakeServer({ trials: [trial(), trial({ id: 'u', name: 'Film or bag', closed: { at: 1, keep: 'neither' } })] });
    renderScreen(<TrialsSlab />);
    expect(await screen.findByRole('link', { name: 'Wax against oil' })).toHaveAttribute('href', '/findings/trials/t');
    expect(screen.getByRole('link', { name: 'Film or bag' }).closest('li')).toHaveTextContent('Film or bag Closed.');
  });
});
