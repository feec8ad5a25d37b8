import { AS_PAGES, beginWorkshop, enterDemo, expect, test, uuid } from './house.js';

const jar = {
  name: 'Test jar',
  flexibility: 'flexible',
  piece: 'small-pot',
  shape: {
    outer: { kind: 'round-frustum', bottomDiameter: 60, topDiameter: 60, height: 63 },
    cores: [],
    inserts: [],
  },
  copies: [],
  version: 0,
};

test('two gypsum jars are measured by the scale, with nothing left', async ({ page }) => {
  await enterDemo(page);
  const key = uuid();
  await page.request.put(`/api/moulds/${key}`, { ...AS_PAGES, data: jar });
  await page.goto('/mixes/new?as=gypsum');
  await page.getByLabel('Name').fill(`Gypsum ${key.slice(0, 6)}`);
  await page.getByRole('button', { name: 'Save mix' }).click();
  await expect(page.getByText(/is kept\.$/)).toBeVisible();
  await page.goto('/mixes');
  await page.getByRole('link', { name: new RegExp(`Gypsum ${key.slice(0, 6)}`) }).click();
  await page.waitForURL(/\/mixes\/[0-9a-f-]{36}$/);
  const mix = page.url().split('/').at(-1)!;
  await page.goto(`/pours/new?mould=${key}&mix=${mix}`);
  await page.getByLabel('How many of Test jar').fill('2');
  await page.getByText('Waste, conditions and use').click();
  await page.getByLabel('Waste allowance').selectOption({ label: '0 %' });
  const sheet = page.getByRole('region', { name: 'Mixing sheet' });
  await page.getByText('Measuring', { exact: true }).click();
  await expect(page.getByText(/^Proposed: gypsum is weighed/)).toBeVisible();
  await expect(sheet.getByRole('region', { name: 'Measure by the scale' })).toContainText('on the scale');
  await expect(sheet.getByText('Left over').locator('..')).toContainText(/Left over[0-2]\s?mL/);
  await expect(sheet.getByRole('group', { name: 'How Test jar is filled' })).toContainText(
    'each filled before the next',
  );
  await expect(sheet).not.toContainText('Fill a fifth');
});

test('a shell that is pressed is told handful by handful, and not poured', async ({ page }) => {
  await enterDemo(page);
  const key = uuid();
  const shape = {
    outer: { kind: 'rect-frustum', bottomLength: 350, bottomWidth: 250, topLength: 350, topWidth: 250, height: 200, cornerRadius: 0 }, // prettier-ignore
    cores: [],
    inserts: [],
    pressed: { side: 'over', thickness: 40 },
  };
  const answer = await page.request.put(`/api/moulds/${key}`, {
    ...AS_PAGES,
    data: { ...jar, name: 'Box form', flexibility: 'rigid', piece: 'trough', shape },
  });
  expect(answer.ok(), await answer.text()).toBe(true);
  await page.goto(`/pours/new?mould=${key}`);
  const told = page.getByRole('group', { name: 'How Box form is filled' });
  await expect(told).toContainText('pressed over a form');
  await expect(told).toContainText('40 mm thick everywhere');
  await expect(told).not.toContainText('bubbles');
});

test('the plan of a mould that was made on another device is of that mould; one that is nowhere is said', async ({
  page,
  browser,
  baseURL,
}) => {
  const account = await beginWorkshop(page);
  await page.goto('/mixes/new?as=garden');
  await page.getByLabel('Name').fill('Garden grey');
  await page.getByRole('button', { name: 'Save mix' }).click();
  await expect(page.getByText(/is kept\.$/)).toBeVisible();
  await page.goto('/moulds');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  const other = await browser.newContext({ baseURL: baseURL! });
  await other.request.post('/api/session', { ...AS_PAGES, data: account });
  const [first, second] = [uuid(), uuid()];
  await other.request.put(`/api/moulds/${first}`, { ...AS_PAGES, data: { ...jar, name: 'First jar' } });
  await page.goto(`/pours/new?mould=${first}`);
  await expect(page.getByLabel('How many of First jar')).toBeVisible();
  await other.request.put(`/api/moulds/${second}`, { ...AS_PAGES, data: { ...jar, name: 'Second jar' } });
  await page.goto(`/pours/new?mould=${second}`);
  await expect(page.getByLabel('How many of Second jar')).toBeVisible();
  await expect(page.getByLabel('How many of First jar')).toHaveCount(0);
  await page.goto(`/pours/new?mould=${uuid()}`);
  await expect(page.getByRole('heading', { name: 'There is no such place here' })).toBeVisible();
  await other.close();
});
