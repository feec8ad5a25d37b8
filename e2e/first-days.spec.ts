import ICAL from 'ical.js';
import type { CastDetail, PlaceView } from '@dewpot/contract';
import type { Page } from '@playwright/test';
import { beginWorkshop, castsOf, expect, happened, pourPots, test, AS_PAGES } from './house.js';

const HOUR = 3_600_000;
const demouldOf = async (page: Page, id: string) => {
  const { dues } = (await (await page.request.get(`/api/casts/${id}`)).json()) as CastDetail;
  return dues.find(({ task }) => task === 'demould')!.good;
};

/** A week of a logger in a heatwave, as a file in °F with a fault and a gap in it. */
function heatwave(): string {
  const now = Math.floor(Date.now() / HOUR) * HOUR;
  const rows = Array.from({ length: 7 * 24 }, (_, i) => {
    const at = new Date(now - (7 * 24 - i) * HOUR);
    const warm = 86 + 12 * Math.sin(((at.getUTCHours() - 9) / 24) * 2 * Math.PI);
    return `${at.toISOString()},${i === 60 ? 260.6 : warm.toFixed(1)},28`;
  });
  return ['Timestamp,Temp (F),RH %', ...rows.filter((_, i) => i < 80 || i > 90)].join('\n');
}

test('a heatwave out of a logger’s file covers a lightweight trough, and cold keeps a fast-setting jar in its mould', async ({
  page,
}) => {
  await beginWorkshop(page);

  await test.step('a place is made, and its readings come in: °F, a fault set aside, a gap bridged', async () => {
    await page.getByRole('link', { name: 'Workshop' }).first().click();
    await page.getByRole('link', { name: 'Places and conditions' }).click();
    await page.getByRole('button', { name: 'Add a place' }).click();
    await page.getByLabel('What you call it').fill('The glasshouse');
    await page.getByText('Files of readings').click();
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await page.getByRole('button', { name: 'The glasshouse', exact: true }).click();
    await page
      .getByLabel('A file of readings')
      .setInputFiles({ name: 'week.csv', mimeType: 'text/csv', buffer: Buffer.from(heatwave()) });
    await expect(page.getByRole('status').filter({ hasText: 'readings' })).toContainText('157 readings');
    await expect(page.getByRole('status').filter({ hasText: 'readings' })).toContainText('Temperatures are in °F');
    await page.getByRole('button', { name: 'Take them in at The glasshouse' }).click();
    await expect(page.getByRole('status').filter({ hasText: 'taken in' })).toContainText(
      '156 taken in, 0 were here already, 1 set aside',
    );
    await page.getByText('2 weeks').click();
    await expect(page.getByRole('list', { name: 'Rejected readings' })).toContainText(
      '127 °C is the end of a sensor’s range',
    );
    await expect(page.getByRole('list', { name: 'Interpolated gaps' })).toContainText('nothing was read');
  });

  await test.step('its trough is warned of, and a bag is the way out', async () => {
    const trough = {
      kind: 'rect-frustum',
      bottomLength: 400,
      bottomWidth: 200,
      topLength: 420,
      topWidth: 220,
      height: 180,
      cornerRadius: 0,
    };
    const core = {
      name: 'The inner tub',
      bottom: 35,
      solid: { ...trough, bottomLength: 330, bottomWidth: 130, topLength: 345, topWidth: 145, height: 145 },
    };
    const [cast] = await pourPots(page.request, 1, 60, {
      mould: { name: 'Long trough', piece: 'trough', shape: { outer: trough, cores: [core], inserts: [] } },
      mix: { name: 'Light tufa' },
      lines: [
        ['Grey Portland', 1],
        ['Perlite, coarse', 2],
      ],
      pour: { place: 'The glasshouse', cover: 'none' },
    });
    await happened(page.request, cast!.id, 20, { type: 'demoulded', damage: [] });
    await page.goto(`/casts/${cast!.id}`);
    const damp = page.getByRole('region', { name: 'Moist curing' });
    await expect(damp).toContainText('cover it instead');
    await expect(damp).toContainText('look for fine cracks');
    await expect(damp).toContainText(/0 wettings done, \d+ missed/);
    await page.getByRole('button', { name: 'Cover', exact: true }).first().click();
    await page
      .getByRole('dialog')
      .getByText(/^in a bag/)
      .click();
    await page.getByRole('button', { name: 'Now in a bag' }).click();
    await expect(damp).not.toContainText('cover it instead');
    await expect(page.getByText('Coverin a bag')).toBeVisible();
  });

  await test.step('a jar in the cold waits longer than one in the warm, and less once it is carried in', async () => {
    const places = (await (await page.request.get('/api/places')).json()) as PlaceView[];
    const cold = { kind: 'shed', source: 'typed', typed: { temperature: 3, humidity: 0.8, wind: 0 } };
    await page.request.put(`/api/places/${places[0]!.id}`, {
      ...AS_PAGES,
      data: { ...cold, name: 'Yard', version: places[0]!.version },
    });
    const jar = { name: 'Salt jar', piece: 'dish', flexibility: 'flexible' };
    const all = await pourPots(page.request, 1, 2, {
      mould: jar,
      mix: { name: 'Fast grey', binderClass: 'fast-setting' },
      pour: { place: 'Yard', cover: 'film' },
    });
    const cast = all.find(({ snapshot }) => snapshot.mouldName === 'Salt jar')!;
    const inTheCold = await demouldOf(page, cast.id);
    expect(inTheCold - cast.life.pouredAt).toBeGreaterThan(4 * HOUR);
    await page.goto(`/casts/${cast.id}`);
    await page.getByRole('button', { name: 'Something else' }).click();
    await page.getByRole('tab', { name: 'Move' }).click();
    await page.getByRole('dialog').getByText('The glasshouse').click();
    await page.getByRole('button', { name: 'Moved to The glasshouse' }).click();
    await expect(page.getByText('PlaceThe glasshouse')).toBeVisible();
    expect(await demouldOf(page, cast.id)).toBeLessThan(inTheCold);
  });
});

test('a damaged demoulding moves the next proposal, and the round is read from a secret address', async ({ page }) => {
  await beginWorkshop(page);
  const [first, second] = await pourPots(page.request, 3, 40);
  const slab = page.getByRole('region', { name: 'Earliest safe demould' });
  await page.goto(`/casts/${first!.id}`);
  await expect(slab).toContainText('24 h at 20 °C');

  await page.getByRole('button', { name: 'Demould', exact: true }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Out, clean' }).click();
  await expect(slab).toContainText('it is based on 1 demoulding, none came out too early');
  const clean = await demouldOf(page, second!.id);
  await page.goto(`/casts/${second!.id}`);
  await page.getByRole('button', { name: 'Demould', exact: true }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('button', { name: 'rim' }).click();
  await expect(sheet.getByRole('radio', { name: 'It came out too early' })).toBeChecked();
  await sheet.getByRole('button', { name: 'Out, with this damage' }).click();
  await expect(slab).toContainText('2 demouldings, 1 of them too early');
  await expect(slab).toContainText('a third of your risk');
  const third = (await castsOf(page.request)).find(({ stage }) => stage === 'setting')!;
  expect(await demouldOf(page, third.id)).toBeGreaterThan(clean);
  await slab.getByRole('button', { name: 'Use handbook values' }).click();
  await expect(slab).toContainText('24 h at 20 °C');
  await slab.getByRole('button', { name: 'Learn from demouldings' }).click();
  await expect(slab).toContainText('2 demouldings');

  await page.goto('/workshop');
  await page.getByRole('button', { name: 'Make an address' }).click();
  const address = await page.getByLabel(/Put this into your calendar/).inputValue();
  const feed = new ICAL.Component(ICAL.parse(await (await fetch(address)).text()));
  const events = feed.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
  expect(events.map(({ summary }) => summary)).toContain('Demould: Nested pot, no place told');
  await page.getByRole('button', { name: 'Change it: the old one stops' }).click();
  await expect.poll(async () => (await fetch(address)).status).toBe(404);
});

test('one walk round the shelf on a phone: many at once, postponed with what it costs, undone', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await beginWorkshop(page);
  await pourPots(page.request, 2, 12 * 24, { pour: { place: 'the sill' } });
  const all = await pourPots(page.request, 1, 11 * 24, { mould: { name: 'Small pot' }, pour: { place: 'the sill' } });
  for (const { id } of all) {
    await happened(page.request, id, 10 * 24, { type: 'demoulded', damage: [] });
    await happened(page.request, id, 2 * 24, { type: 'uncovered' });
  }
  await page.goto('/');
  const now = page.getByRole('region', { name: 'Now, the sill' });
  await now.getByRole('link', { name: 'Weigh all 3' }).click();
  const sheet = page.getByRole('dialog');
  for (const { code, expected } of all) {
    await expect(page.getByRole('heading', { name: code })).toBeVisible();
    await page.getByLabel('Or typed, in any unit').fill(`${Math.round(expected.dry + 60)} g`);
    await page.getByRole('button', { name: 'Save, next piece' }).click();
  }
  await expect(page.getByText('All weighed')).toBeVisible();
  // What is told of the piece before lies under it.
  const told = page.getByRole('listitem').filter({ hasText: `${all.at(-1)!.code} weighed.` });
  await told.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByText('Undone.')).toBeVisible();
  await page.getByRole('link', { name: 'To the shelf' }).click();

  const postpone = 'Postpone: Weigh, Small pot 2a';
  await now.getByRole('button', { name: postpone }).click();
  await sheet.getByText('two days').click();
  await expect(sheet.getByRole('status')).toContainText('Costs nothing but time');
  await sheet.getByRole('button', { name: /^Postpone to/ }).click();
  await expect(now.getByRole('button', { name: postpone })).toHaveCount(0);
  const week = page.getByRole('region', { name: 'This week', exact: true });
  await expect(week.getByRole('button', { name: postpone })).toBeVisible();
});
