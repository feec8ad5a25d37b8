import { castsOf, enterDemo, expect, test } from './house.js';

test('a scale of one’s own weighs a cast by its bridge; once its token is revoked nothing of it counts', async ({
  page,
  playwright,
  address,
}) => {
  await enterDemo(page);
  await page.goto('/workshop');
  await page.getByText('Make a token for a script').click();
  await page.getByLabel('What it is for').fill('Shed scale');
  await page.getByLabel('It may do at the most').selectOption('helper');
  await page.getByRole('button', { name: 'Make a token' }).click();
  const token = await page.getByLabel(/^Copy it now/).inputValue();

  const bridge = await playwright.request.newContext({
    baseURL: address,
    extraHTTPHeaders: { Authorization: `Bearer ${token}` },
  });
  const weigh = (mass: number) => bridge.post('/api/scale/readings', { data: { mass, step: 1 } });
  await page.goto('/casts/weigh');
  const code = await page.getByRole('heading', { level: 1 }).textContent();
  const before = (await castsOf(page.request)).find((one) => one.code === code);
  const mass = Math.round(before!.expected.dry * 1.03);
  let on = true;
  const weighing = (async () => {
    while (on) {
      await weigh(mass);
      await page.waitForTimeout(200);
    }
  })();
  await expect(page.getByText(/By the scale\./)).toBeVisible();
  await page.getByRole('button', { name: 'Save, next piece' }).click();
  await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(code!);
  on = false;
  await weighing;
  const { weighings } = (await castsOf(page.request)).find((one) => one.code === code)!.life;
  expect(weighings.at(-1)).toMatchObject({ mass, step: 1 });

  await page.goto('/workshop');
  await page.getByRole('button', { name: 'End the session of Shed scale' }).click();
  await expect(page.getByText('Shed scale')).toHaveCount(0);
  expect((await weigh(1)).status()).toBe(401);
  await bridge.dispose();
});
