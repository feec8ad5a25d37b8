import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { msg } from '@dewpot/core/units';
import { ageCourse, learnDemouldAge, mistingPlan } from '@dewpot/core/curing';
import { surroundingsOf, type Due } from '@dewpot/core/casts';
import type { CastDetail } from '@dewpot/contract';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { cast, castDetail, HOUR, NOW } from '../../test/stand-ins';
import { AmbientSlab } from './ambient-slab';
import { CastActions } from '../casts/cast-actions';
import { DemouldSlab } from './demould-slab';

const base = cast('1a');
const setting = cast('1a', {
  stage: 'setting',
  life: { ...base.life, stage: 'setting', pouredAt: Date.now() - 20 * HOUR },
});
const pull: Due = {
  task: 'remove-core',
  core: 'The drain pipe',
  early: NOW,
  good: NOW,
  late: NOW + HOUR,
  told: msg('today.turnAndDraw'),
};
const { uncoveredAt: _, ...young } = base.life;
const damp = cast('2a', { stage: 'curing', life: { ...young, stage: 'curing', demouldedAt: NOW - 20 * HOUR } });

/** Opens the sheet of actions on one of them; answers what is sent. */
function act(name: string, one = damp, due?: Due) {
  const sent = fakeServer({ 'POST casts': castDetail(one) });
  renderScreen(<CastActions casts={[one]} due={due} onClose={vi.fn()} />);
  return { sent, open: async () => userEvent.click(await screen.findByRole('tab', { name })) };
}

describe('in the first days', () => {
  it('a core is pulled by its name, with how', async () => {
    const { sent, open } = act('Remove core', { ...setting, dues: [pull] }, pull);
    await open();
    expect(screen.getByText(/The drain pipe: turn it and draw it/)).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'The drain pipe is out' }));
    await waitFor(() => expect(sent[0]).toMatchObject({ body: { type: 'pulled', core: 'The drain pipe' } }));
  });

  it('a cover is chosen among what each would do, and a bath with its caution', async () => {
    const { sent, open } = act('Cover');
    await open();
    expect(await screen.findByText(/^under film/)).toHaveTextContent(/wetting/);
    await userEvent.click(screen.getByText(/^in a bag/));
    await userEvent.click(screen.getByRole('button', { name: 'Now in a bag' }));
    await waitFor(() => expect(sent[0]).toMatchObject({ body: { type: 'covered', cover: 'bag' } }));
    await userEvent.click(screen.getByRole('tab', { name: 'Soak' }));
    await userEvent.click(screen.getByText('Vinegar bath'));
    expect(screen.getByText(/It etches the surface/)).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: /^In it now, for 4 h/ }));
    await waitFor(() => expect(sent[1]).toMatchObject({ body: { type: 'soaked', bath: 'vinegar', hours: 4 } }));
  });

  it('a face is dressed grit by grit', async () => {
    const { sent, open } = act('Trim and sand');
    await open();
    await userEvent.click(screen.getByText('Sanded wet'));
    expect(screen.getByText(/no dry dust/)).toBeVisible();
    await userEvent.click(screen.getByText('220'));
    await userEvent.click(screen.getByRole('button', { name: 'Sanded wet' }));
    await waitFor(() => expect(sent[0]).toMatchObject({ body: { type: 'dressed', work: 'grit', grit: 220 } }));
  });

  it('a task is postponed with what that costs told before', async () => {
    const now = Date.now();
    const due: Due = { task: 'wet', early: now - HOUR, good: now, late: now + 5 * HOUR };
    const { sent, open } = act('Postpone', damp, due);
    await open();
    expect(screen.getByRole('status')).toHaveTextContent('Costs nothing: it is good until');
    await userEvent.click(screen.getByText('a week'));
    expect(screen.getByRole('status')).toHaveTextContent('its open faces lie dry');
    await userEvent.click(screen.getByRole('button', { name: /^Postpone to/ }));
    await waitFor(() => expect(sent[0]).toMatchObject({ body: { type: 'postponed', task: 'wet' } }));
  });

  it('the earliest safe demoulding is told with its risk and record, and the risk is chosen', async () => {
    const records = [
      { age: 25, came: 'clean' as const, code: '1a', at: NOW - 90 * HOUR },
      { age: 19, came: 'too-early' as const, code: '2a', at: NOW - 50 * HOUR },
    ];
    const detail = castDetail(
      { ...setting, snapshot: { ...setting.snapshot, mixId: 'x' } },
      {
        demould: { handbook: 24, learned: learnDemouldAge(24, records), records, ways: { care: 'usual', off: false } },
      },
    );
    const sent = fakeServer({ 'PUT moulds': {} });
    renderScreen(<DemouldSlab cast={detail} now={NOW} />);
    expect(await screen.findByText(/2 demouldings, 1 of them too early.*a third of your risk/)).toBeVisible();
    expect(screen.getByRole('img', { name: 'Its record: 1 clean, 1 too early' })).toBeVisible();
    await userEvent.click(screen.getByText('Cautious'));
    await waitFor(() =>
      expect(sent[0]).toMatchObject({ path: 'moulds/m/demoulding/x', body: { care: 'cautious', off: false } }),
    );
    await userEvent.click(screen.getByRole('button', { name: 'Try it earlier again' }));
    await waitFor(() => expect(sent[1]).toMatchObject({ body: { triedAgainAt: 2 } }));
  });

  it('hot dry air is told with its way out, and what was missed', async () => {
    const hot = (hours: number) => ({ at: NOW + hours * HOUR, temperature: 34, humidity: 0.25, wind: 15 });
    const ambient = Array.from({ length: 60 }, (_, i) => hot(i - 30));
    const course = ageCourse(
      ambient.map(({ at, temperature }) => ({ hour: at / HOUR, temperature })),
      'portland',
    );
    const life = { ...damp.life, pouredAt: NOW - 30 * HOUR, demouldedAt: NOW - 6 * HOUR };
    const does = surroundingsOf({
      life,
      binderClass: 'portland',
      lightweight: true,
      cover: 'none',
      ambient,
      course,
      waking: { from: 7, to: 22 },
      now: NOW,
    })!;
    const detail: CastDetail = castDetail({ ...damp, life });
    renderScreen(<AmbientSlab cast={{ ...detail, ambient: { ...detail.ambient, does } }} now={NOW} />);
    expect(await screen.findByText(/cover it instead/)).toBeVisible();
    expect(screen.getByText(/0 wettings done, \d+ missed/)).toBeVisible();
    expect(screen.getByText(/look for fine cracks|shade it/)).toBeVisible();
    expect(mistingPlan(0, true).times).toEqual([]);
  });
});
