import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { fakeServer, Refusal, renderScreen, store } from '../../test/fake-server';
import { cast, castDetail, DAY, dry, NOW, renderInside } from '../../test/stand-ins';
import { RecordConditionForm } from '../care/record-condition-form';
import { CheckForm, TestForm } from '../sealing/test-forms';
import { UnclampForm } from '../assembly/unclamp-form';
import { CastActions } from './cast-actions';
import { CoatForm } from '../sealing/coat-form';
import { DecorateForm } from '../sealing/decorate-form';
import { FittingsForm } from '../assembly/fit-form';
import { WetForm } from '../curing/wet-forms';
import { FinishForm } from '../care/finish-form';
import { SealedSlab } from '../sealing/sealed-slab';

type Recorded = [string, { cast: { code: string }; event: Record<string, unknown> }[]];
const recorder = () => {
  const record = vi.fn();
  return { record, events: () => (record.mock.calls.at(-1) as Recorded)[1].map(({ event }) => event) };
};
const sealed = (coats = 1) => {
  const base = cast('2a');
  const coat = { at: NOW - 9 * DAY, sealer: 'acrylic', side: 'both' } as const;
  const life = {
    ...base.life,
    stage: 'sealed',
    coats: Array.from({ length: coats }, (_, i) => ({ ...coat, id: `c${i}` })),
  } as const;
  return cast('2a', { stage: 'sealed', life });
};

/** A piece that dried since two months ago and was weighed on so many days. */
const weighedFor = (code: string, days: number, known: Parameters<typeof dry>[0] = {}) => {
  const weighings = Array.from({ length: days }, (_, day) => ({
    hour: 24 * (day + 9),
    mass: Math.round(4100 + 255 * Math.exp(-(((day + 1) / 4) ** 0.75))),
    step: 1,
  }));
  const since = { pouredAt: NOW - 60 * DAY, uncoveredAt: NOW - 52 * DAY, driesFrom: NOW - 52 * DAY };
  return cast(code, { dry: dry(known), life: { ...cast(code).life, ...since, weighings } });
};

describe('a coat', () => {
  it('follows what the piece is for, says why, and what the label must allow', async () => {
    const { record } = recorder();
    renderInside(<CoatForm casts={[cast('1a', { dry: dry({ dryEnough: true }) })]} busy={false} record={record} />);
    expect(screen.getByText('Penetrating silane, 2 coats.')).toBeVisible();
    for (const use of ['plants', 'outdoors']) await userEvent.click(screen.getByLabelText(use));
    await userEvent.click(screen.getByLabelText('a candle'));
    expect(screen.getByText('Polyurethane film, 2 coats.')).toBeVisible();
    expect(screen.getByText(/only in a vessel that was tested for it/)).toBeVisible();
    expect(screen.getByText(/does not say that it is for candles/)).toBeVisible();
  });

  it('is left away for succulents, and that is kept as its plan', async () => {
    const { record, events } = recorder();
    renderInside(<CoatForm casts={[cast('1a')]} busy={false} record={record} />);
    await userEvent.click(screen.getByLabelText('plants'));
    await userEvent.click(screen.getByLabelText('succulents, moss'));
    await userEvent.click(screen.getByRole('button', { name: 'Leave unsealed' }));
    expect(events()).toEqual([{ type: 'seal-planned', uses: ['outdoors', 'bare plants'], side: 'both', coats: 0 }]);
  });

  it('before the last is dry waits or is overridden, and an old product and its lot are told', async () => {
    fakeServer({
      materials: {
        ...store,
        lots: [
          {
            id: 'old',
            materialId: 'acrylic-film',
            bought: 1030,
            left: 515,
            price: 24,
            boughtAt: 1,
            openedAt: 1,
            version: 1,
          },
        ],
      },
    });
    const { record, events } = recorder();
    const one = sealed();
    const fresh = { ...one.life, coats: [{ ...one.life.coats[0]!, at: Date.now() - 60_000 }] };
    const sealPlan = { uses: ['damp shelf'], sealer: 'acrylic', coats: 2, side: 'both' } as const;
    renderInside(<CoatForm casts={[{ ...one, life: { ...fresh, sealPlan } }]} busy={false} record={record} />);
    expect(await screen.findByText(/From the lot of.*500 mL left/)).toBeVisible();
    expect(screen.getByText(/has stood open for \d+ months; it keeps for 12/)).toBeVisible();
    expect(screen.getByRole('alert')).toHaveTextContent('The coat before is not dry');
    await userEvent.type(screen.getByLabelText(/all the same/), 'hot sun');
    await userEvent.click(screen.getByRole('button', { name: 'Coat against the advice' }));
    expect(events()).toMatchObject([{ type: 'coated', materialId: 'acrylic-film', overridden: 'hot sun' }]);
  });

  it('of an inferred piece is judged by those that were weighed for it', async () => {
    fakeServer({ casts: [weighedFor('1b', 6), weighedFor('1c', 8)] });
    const { record } = recorder();
    const inferred = weighedFor('1a', 0, { inferredFrom: ['1b', '1c'] });
    renderInside(<CoatForm casts={[inferred]} busy={false} record={record} />);
    const shut = screen.getByRole('alert');
    expect(await within(shut).findByText(/may still hold 132 g of water that can leave; under 52 g/)).toBeVisible();
  });

  it('goes by the limit that this workshop learned', async () => {
    fakeServer({ overrides: { seen: [], open: { ease: 1.3, records: 3 }, film: { ease: 1, records: 0 } } });
    const { record } = recorder();
    renderInside(<CoatForm casts={[weighedFor('1a', 10)]} busy={false} record={record} />);
    expect(await screen.findByRole('button', { name: /is on/ })).toBeEnabled();
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('that the server alone knows to be too early is kept once a reason is given', async () => {
    const problem = { status: 422, title: 'Not yet', detail: 'The coat before is not dry.' };
    const errors = [{ field: 'sealer', value: 'penetrating', message: problem.detail, remedy: 'Wait.' }];
    const sent = fakeServer({
      'POST casts': (event: { type: string }) =>
        event.type === 'coated' ? new Refusal({ ...problem, errors }) : event,
    });
    renderScreen(<CastActions casts={[weighedFor('1a', 20)]} task="coat" onClose={vi.fn()} />);
    await userEvent.click(await screen.findByRole('button', { name: /is on/ }));
    await userEvent.type(await screen.findByLabelText(/all the same/), 'hot sun');
    await userEvent.click(screen.getByRole('button', { name: 'Save against the advice' }));
    expect(sent.at(-1)?.body).toMatchObject({ type: 'coated', overridden: 'hot sun' });
  });
});

it('a clear film tells of drops or of none', async () => {
  const { record, events } = recorder();
  renderInside(<TestForm casts={[cast('1a')]} busy={false} record={record} />);
  await userEvent.click(screen.getByText('24 h'));
  await userEvent.click(screen.getByRole('button', { name: 'No drops under it' }));
  expect(events()).toEqual([{ type: 'film-tested', hours: 24, drops: false }]);
});

it('a sealed piece that was wetted is warned of, and kept', async () => {
  const { record, events } = recorder();
  renderInside(<WetForm casts={[sealed()]} busy={false} record={record} />);
  expect(screen.getByText(/It is sealed: water finds its way in/)).toBeVisible();
  await userEvent.click(screen.getByRole('button', { name: 'Wetted just now' }));
  expect(events()).toEqual([{ type: 'wetted' }]);
});

it('its coats, what was tried of them and when to look again stand on its page', () => {
  const one = sealed(2);
  const checks = [{ at: NOW - DAY, check: 'bead', held: true }] as const;
  const sealPlan = { uses: ['outdoors'], sealer: 'acrylic', coats: 2, side: 'both' } as const;
  const detail = castDetail({ ...one, life: { ...one.life, sealPlan, checks } });
  renderInside(<SealedSlab cast={detail} now={NOW} />);
  const slab = screen.getByRole('region', { name: 'Sealed' });
  expect(slab).toHaveTextContent('Coat 2: Acrylic film');
  expect(slab).toHaveTextContent('the water bead held. Not tried yet: the look of it');
  expect(slab).toHaveTextContent('about May 2028');
});

it('a check says how it is done, and keeps what was seen', async () => {
  const { record, events } = recorder();
  renderInside(<CheckForm casts={[sealed()]} busy={false} record={record} />);
  expect(screen.getByText(/stand for ten minutes/)).toBeVisible();
  await userEvent.type(screen.getByLabelText(/What was seen/), 'soaked in at the rim');
  await userEvent.click(screen.getByRole('button', { name: /It does not/ }));
  expect(events()).toEqual([{ type: 'checked', check: 'bead', held: false, note: 'soaked in at the rim' }]);
});

it('paint on a damp piece is advised against, and done with a reason', async () => {
  const { record, events } = recorder();
  renderInside(<DecorateForm casts={[cast('1a')]} busy={false} record={record} />);
  const done = screen.getByRole('button', { name: 'Paint is on' });
  expect(screen.getByRole('alert')).toHaveTextContent('not dry enough');
  expect(done).toBeDisabled();
  await userEvent.type(screen.getByLabelText(/all the same/), 'a trial');
  await userEvent.click(done);
  expect(events()).toEqual([{ type: 'decorated', decoration: 'paint', overridden: 'a trial' }]);
});

it('a lamp kit is ticked off point by point before it is done', async () => {
  const { record, events } = recorder();
  renderInside(<FittingsForm casts={[sealed()]} busy={false} record={record} />);
  await userEvent.click(screen.getByText('Lamp kit'));
  expect(screen.getByText(/qualified person/)).toBeVisible();
  expect(screen.getByRole('button', { name: '6 still to tick off' })).toBeDisabled();
  for (const box of screen.getAllByRole('checkbox')) await userEvent.click(box);
  await userEvent.click(screen.getByRole('button', { name: 'Lamp kit: done' }));
  expect(events()).toEqual([{ type: 'fitted', fitting: 'lamp kit' }]);
});

it('a pot tells its planting volume and what it weighs planted', async () => {
  const { record } = recorder();
  renderInside(<FittingsForm casts={[sealed()]} busy={false} record={record} />);
  await userEvent.click(screen.getByText('Soil'));
  expect(screen.getByText('Planting volume')).toBeVisible();
  expect(screen.getByText('Planted it weighs')).toBeVisible();
});

it('what is sold keeps its price, and a price that is none is named', async () => {
  const { record, events } = recorder();
  renderInside(<FinishForm casts={[sealed()]} busy={false} record={record} />);
  expect(screen.getByText(/Not tried yet: the water bead and the look of it/)).toBeVisible();
  await userEvent.click(screen.getByText('sold'));
  const price = screen.getByLabelText(/For how much/);
  await userEvent.type(price, 'cheap');
  expect(screen.getByText(/Enter a price such as/)).toBeVisible();
  await userEvent.clear(price);
  await userEvent.type(price, '12,50');
  await userEvent.click(screen.getByRole('button', { name: 'Finish' }));
  expect(events()).toEqual([{ type: 'finished', gone: 'sold', price: 12.5 }]);
});

it('what became of it is told in one tap and a few words', async () => {
  const { record, events } = recorder();
  renderInside(<RecordConditionForm casts={[cast('1a', { stage: 'finished' })]} busy={false} record={record} />);
  await userEvent.click(screen.getByText('Frost flaked it'));
  await userEvent.click(screen.getByRole('button', { name: 'Save' }));
  expect(events()).toEqual([{ type: 'came-later', came: 'frost' }]);
});

it('an article is let go of its clamps', async () => {
  const { record, events } = recorder();
  renderInside(<UnclampForm casts={[cast('1a', { stage: 'setting' })]} busy={false} record={record} />);
  await userEvent.click(screen.getByRole('button', { name: 'Unclamped just now' }));
  expect(events()).toEqual([{ type: 'unclamped' }]);
});
