import { readFileSync } from 'node:fs';
import type { CastDetail, CastView } from '@dewpot/contract';
import type { APIRequestContext, Page } from '@playwright/test';
import { beginWorkshop, expect, happened, moveBack, pourPots, test } from './house.js';

const DAY = 24;

const detailOf = async (request: APIRequestContext, id: string) =>
  (await (await request.get(`/api/casts/${id}`)).json()) as CastDetail;

/** What a pot weighs so many hours ago on its way to its dry mass, uncovered 32 days ago, g. */
const massAt = ({ expected: { dry, loss } }: CastView, ago: number) =>
  Math.round(dry + 0.8 * loss * Math.exp(-(((32 - ago / DAY) / 4) ** 0.75)));

/** Demoulded and uncovered, and weighed once a day from 31 to `until` days ago. */
async function dried(request: APIRequestContext, cast: CastView, until: number): Promise<void> {
  await happened(request, cast.id, 38 * DAY, { type: 'demoulded', damage: [] });
  await happened(request, cast.id, 32 * DAY, { type: 'uncovered' });
  for (let day = 31; day >= until; day--)
    await happened(request, cast.id, day * DAY, { type: 'weighed', mass: massAt(cast, day * DAY), step: 1 });
}

const press = (page: Page, name: string | RegExp) => page.getByRole('button', { name, exact: true }).first().click();

test('a jar is weighed to its gate, sealed in two coats in their window, tried and finished with a care note', async ({
  page,
}) => {
  await beginWorkshop(page);
  const [cast] = await pourPots(page.request, 1, 40 * DAY, { mould: { name: 'Rush jar' } });
  await dried(page.request, cast!, 27);

  await test.step('the round of weighing asks for it; what another piece would weigh is asked about', async () => {
    await page.goto('/casts/weigh');
    await expect(page.getByRole('heading', { name: cast!.code })).toBeVisible();
    const typed = page.getByLabel('Or typed, in any unit');
    await typed.fill('8 lb');
    await press(page, 'Save, next piece');
    await expect(page.getByText(/should weigh about/)).toBeVisible();
    await typed.fill(`${massAt(cast!, 0)} g`);
    await press(page, 'Save, next piece');
    await expect(page.getByText('All weighed')).toBeVisible();
    expect((await detailOf(page.request, cast!.id)).life.weighings).toHaveLength(6);
  });

  await test.step('its gate is open, rule by rule', async () => {
    await page.goto(`/casts/${cast!.id}`);
    const gate = page.getByRole('region', { name: 'Dry enough?' });
    await expect(gate).toContainText('Water that may be left');
    await expect(gate).not.toContainText('not yet');
  });

  await test.step('for a bathroom it wants a film in two coats, and gets them', async () => {
    await press(page, 'Apply coat');
    const sheet = page.getByRole('dialog');
    for (const use of ['plants', 'outdoors']) await sheet.getByText(use, { exact: true }).click();
    await sheet.getByText('bathroom, kitchen').click();
    await expect(sheet).toContainText('Acrylic film, 2 coats.');
    await moveBack(page, 10 * DAY);
    await press(page, 'Coat 1 of 2 is on');
    await expect(page.getByText('coat 2 of 2', { exact: false }).first()).toBeVisible();
    await press(page, 'Apply coat');
    await moveBack(page, 9 * DAY);
    await press(page, 'Coat 2 of 2 is on');
    await expect(page.getByRole('dialog')).toBeHidden();
    const { life } = await detailOf(page.request, cast!.id);
    expect(life.coats.map(({ sealer }) => sealer)).toEqual(['acrylic', 'acrylic']);
  });

  await test.step('it is tried with a drop of water, and goes out with a note for its keeper', async () => {
    await press(page, 'Test the seal');
    await press(page, 'It holds');
    await press(page, 'Test the seal');
    await press(page, 'It holds');
    await press(page, 'Finish');
    const sheet = page.getByRole('dialog');
    await sheet.getByText('sold', { exact: true }).click();
    await sheet.getByLabel(/For how much/).fill('18.50');
    const [note] = await Promise.all([
      page.waitForEvent('download'),
      sheet.getByRole('button', { name: 'Care note' }).click(),
    ]);
    expect(
      readFileSync(await note.path())
        .subarray(0, 5)
        .toString(),
    ).toBe('%PDF-');
    await sheet.getByRole('button', { name: 'Finish', exact: true }).click();
    await expect(page.getByText(/sold for/).first()).toBeVisible();
    expect((await detailOf(page.request, cast!.id)).life.gone).toMatchObject({ how: 'sold', price: 18.5 });
  });
});

test('a pot sealed too soon is refused with what is missing, and overridden on record', async ({ page }) => {
  await beginWorkshop(page);
  const [cast] = await pourPots(page.request, 1, 40 * DAY);
  await dried(page.request, cast!, 28);
  await page.goto(`/casts/${cast!.id}`);
  await expect(page.getByRole('region', { name: 'Dry enough?' })).toContainText('decides');
  await press(page, 'Something else');
  await page.getByRole('tab', { name: 'Apply coat' }).click();
  const sheet = page.getByRole('dialog');
  await expect(sheet.getByRole('alert')).toContainText('of water that can leave');
  const coat = sheet.getByRole('button', { name: 'Coat against the advice' });
  await expect(coat).toBeDisabled();
  await sheet.getByLabel('Coat it all the same, because').fill('promised for Sunday');
  await coat.click();
  await expect(page.getByText(/against the advice to wait: “promised for Sunday”/).first()).toBeVisible();
  await page.goto('/workshop');
  await page.getByText('Sealed against the advice: 1 piece').click();
  await expect(page.getByText(/“promised for Sunday”. Not looked at since/)).toBeVisible();
});

test('two heights are joined, unclamped, sealed as one, and their parts lead to the whole', async ({ page }) => {
  await beginWorkshop(page);
  const [lower, upper] = await pourPots(page.request, 2, 40 * DAY);
  for (const cast of [lower!, upper!]) await dried(page.request, cast, 5);
  await page.goto(`/casts/${lower!.id}`);
  await page.getByRole('link', { name: 'Assemble it with others' }).click();
  await page.getByLabel('Put on').selectOption({ label: `${upper!.code} Nested pot, drying` });
  const answers = page.getByRole('region', { name: 'What it implies' });
  await expect(answers).toContainText(`${upper!.code} does not touch ${lower!.code}`);
  await page.getByLabel('on its head').first().check();
  await expect(answers).not.toContainText('does not touch');
  await expect(answers).toContainText('360 mm high');
  await page.getByLabel('What is it called?').fill('Hourglass stand');
  await press(page, 'Assembled just now');
  await expect(page.getByRole('heading', { name: /Hourglass stand/ })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Assembled from' })).toContainText('on its head');
  await press(page, 'Unclamp');
  await press(page, 'Unclamped just now');
  await expect(page.getByText(/Hourglass stand|drying/).first()).toBeVisible();
  await press(page, 'Something else');
  await page.getByRole('tab', { name: 'Apply coat' }).click();
  await page.getByLabel('Coat it all the same, because').fill('both were dry');
  await press(page, 'Coat against the advice');
  await expect(page.getByText(/Coated with penetrating silane/).first()).toBeVisible();
  await page.goto(`/casts/${upper!.id}`);
  await page.getByRole('link', { name: `${lower!.code}+${upper!.code}` }).click();
  await expect(page.getByRole('heading', { name: /Hourglass stand/ })).toBeVisible();
});

test('a lesson is played to its end: as most would do it, not yet, and how', async ({ page }) => {
  await beginWorkshop(page);
  await page.goto('/casts/try');
  await page.getByRole('tab', { name: 'Heatwave' }).click();
  await expect(page.getByRole('heading', { name: 'As most would do it' })).toBeVisible();
  await press(page, 'See what comes of it');
  await expect(page.getByRole('status')).toContainText('Not yet');
  await expect(page.getByRole('status')).toContainText('it crazes and dusts');
  await page.getByLabel('Under').selectOption({ label: 'in a bag' });
  await page.getByLabel(/End moist curing/).fill('168');
  await press(page, 'See what comes of it');
  await expect(page.getByRole('status')).toContainText('That is how');
  await expect(page.getByRole('status')).toContainText('Film or a damp cloth');
  await page.reload();
  await expect(page.getByRole('tab', { name: /Heatwave/ }).getByLabel('learned')).toBeVisible();
});
