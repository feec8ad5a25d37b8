import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { speakerFor } from '@dewpot/locales/testing';
import { cast, castDetail, DAY, HOUR, NOW, renderInside } from '../../test/stand-ins';
import { DemouldForm } from '../curing/demould-form';
import { lifeOption } from './life-chart-option';
import { CoatForm } from '../sealing/coat-form';
import { WeighForm } from '../sealing/weigh-form';
import { tellEvent } from '../ui/casts/event-words';

describe('lifting out', () => {
  it('is one tap where it went well', async () => {
    const record = vi.fn();
    renderInside(<DemouldForm casts={[cast('1a'), cast('1b')]} busy={false} record={record} />);
    await userEvent.click(screen.getByRole('button', { name: 'All out, clean' }));
    const [said, happened] = record.mock.calls[0] as [string, { event: object }[]];
    expect(said).toBe('2 demoulded.');
    expect(happened.map(({ event }) => event)).toEqual(Array(2).fill({ type: 'demoulded', damage: [] }));
  });
  it('puts a broken rim down to earliness until told otherwise, and takes bubbles by a patch', async () => {
    const record = vi.fn();
    renderInside(<DemouldForm casts={[cast('1a')]} busy={false} record={record} />);
    await userEvent.click(screen.getByRole('button', { name: /rim/ }));
    expect(screen.getByRole('radio', { name: 'It came out too early' })).toBeChecked();
    await userEvent.click(screen.getByText('It was dropped or knocked'));
    await userEvent.click(screen.getByRole('button', { name: '3 of 5' }));
    await userEvent.click(screen.getByRole('button', { name: 'Out, with this damage' }));
    const [, happened] = record.mock.calls[0] as [string, { event: object }[]];
    expect(happened.map(({ event }) => event)).toEqual([
      { type: 'demoulded', damage: [{ spot: 'rim', size: 'chip' }], cause: 'dropped' },
      { type: 'bubbles', face: 'face', grade: 3 },
    ]);
  });
  it('takes damage by spot, larger with each tap, then none', async () => {
    const record = vi.fn();
    renderInside(<DemouldForm casts={[cast('1a')]} busy={false} record={record} />);
    const rim = screen.getByRole('button', { name: /rim/ });
    await userEvent.click(rim);
    await userEvent.click(rim);
    expect(rim).toHaveTextContent('a piece');
    await userEvent.click(screen.getByText('Needed force'));
    await userEvent.click(screen.getByRole('button', { name: 'Out, with this damage' }));
    const [, happened] = record.mock.calls[0] as [string, { event: object }[]];
    expect(happened[0]!.event).toEqual({
      type: 'demoulded',
      damage: [{ spot: 'rim', size: 'piece' }],
      force: 'fought',
      cause: 'stuck',
    });
    await userEvent.click(rim);
    await userEvent.click(rim);
    expect(screen.getByRole('button', { name: 'Out, clean' })).toBeVisible();
  });
});

describe('weighing', () => {
  it('keeps what was entered with the scale’s step, and asks for it where nothing was', async () => {
    const record = vi.fn();
    renderInside(<WeighForm casts={[cast('1a'), cast('1b')]} busy={false} record={record} />, { scaleStep: 2 });
    await userEvent.click(screen.getByRole('button', { name: /^Save/ }));
    expect(screen.getByRole('alert')).toHaveTextContent('Put 1a on the scale');
    await userEvent.type(screen.getByLabelText('Mass of 1b'), '4.2 kg');
    await userEvent.click(screen.getByRole('button', { name: 'Save weighing' }));
    const [, happened] = record.mock.calls[0] as [string, { cast: { code: string }; event: object }[]];
    expect(happened).toHaveLength(1);
    expect(happened[0]!.cast.code).toBe('1b');
    expect(happened[0]!.event).toEqual({ type: 'weighed', mass: 4200, step: 2 });
  });
});

describe('coating', () => {
  it('of a piece that may still be damp is refused with the reason, unless one gives one’s own', async () => {
    const record = vi.fn();
    renderInside(<CoatForm casts={[cast('1a')]} busy={false} record={record} />);
    expect(screen.getByRole('alert')).toHaveTextContent('It has not been weighed yet');
    const button = screen.getByRole('button', { name: 'Coat against the advice' });
    expect(button).toBeDisabled();
    await userEvent.type(screen.getByLabelText(/all the same/), 'only a test piece');
    await userEvent.click(button);
    const [, happened] = record.mock.calls[0] as [string, { event: object }[]];
    expect(happened.map(({ event }) => event)).toMatchObject([
      { type: 'seal-planned', uses: ['plants', 'outdoors'], coats: 2 },
      { type: 'coated', sealer: 'penetrating', overridden: 'only a test piece' },
    ]);
  });
});

describe('a cast’s life', () => {
  const weighings = [0.6, 0.24, 0.09].map((water, i) => ({ hour: 240 + i * 48, mass: 4100 + 300 * water, step: 1 }));
  const base = cast('1a');
  const life = { ...base.life, pouredAt: NOW - 20 * DAY, weighings, weighedAt: NOW - 6 * DAY };
  const detail = castDetail(
    { ...base, life },
    {
      events: [
        { id: 'a', at: life.pouredAt, type: 'poured' },
        {
          id: 'b',
          at: life.pouredAt + DAY,
          type: 'demoulded',
          damage: [{ spot: 'rim', size: 'chip' }],
          force: 'tapped',
        },
      ],
    },
  );
  it('draws what was and what is forecast as two lines that meet, and each weighing as a point', () => {
    const option = lifeOption({ cast: detail, now: NOW, say: speakerFor() }) as {
      series: { name: string; data: [number, number][] }[];
    };
    const [was, willBe] = ['Strength', 'Strength, forecast'].map((line) =>
      option.series.find(({ name }) => name === line),
    );
    expect(was!.data.at(-1)).toEqual(willBe!.data[0]);
    expect(was!.data.at(-1)![0]).toBeLessThanOrEqual(NOW);
    expect(willBe!.data.at(-1)![0]).toBeGreaterThan(NOW);
    expect(option.series.find(({ name }) => name === 'Weighed')!.data).toHaveLength(3);
  });
  it('names what happened where its name has room, and never over another', () => {
    const coat = (at: number) => ({ id: `coat ${at}`, at, type: 'coated', sealer: 'acrylic' }) as never;
    const events = [...detail.events, coat(NOW - 2 * HOUR), coat(NOW - HOUR)];
    const option = lifeOption({ cast: { ...detail, events }, now: NOW, say: speakerFor() }) as {
      series: { markLine?: { data: { xAxis: number; label: { show: boolean; align?: string } }[] } }[];
    };
    const labels = option.series[2]!.markLine!.data.filter(({ xAxis }) => xAxis >= NOW - 2 * HOUR);
    expect(labels.map(({ label: { show, align } }) => show && (align ?? 'on its line'))).toEqual([
      'right',
      false,
      'on its line',
    ]);
  });
  it('is told in words', () => {
    expect(tellEvent(detail.events[1]!, speakerFor())).toBe('Demoulded with a chip at the rim; it needed tapping');
    expect(tellEvent({ id: 'c', at: 0, type: 'weighed', mass: 4127, step: 1 }, speakerFor())).toBe('Weighed 4127 g');
  });
});
