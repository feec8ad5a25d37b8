import type { Browser, Page } from '@playwright/test';
import qrcode from 'qrcode';
import type { CastDetail } from '@dewpot/contract';
import { photoWithCard } from './photo-with-card.js';
import { AS_PAGES, beginWorkshop, castsOf, expect, happened, keptInBrowser, PHONE, pourPots, test } from './house.js';

const detail = async (page: Page, id: string) => (await (await page.request.get(`/api/casts/${id}`)).json()) as CastDetail; // prettier-ignore
const typesOf = ({ events }: CastDetail) => events.map(({ type }) => type);

/** Tobias on his phone, who comes in by an invitation of whoever is at the page. */
async function tobiasPhone(page: Page, browser: Browser, address: string): Promise<Page> {
  const invited = await page.request.post('/api/invitations', { ...AS_PAGES, data: { role: 'caster', days: 7 } });
  const { token } = (await invited.json()) as { token: string };
  const likePhone = { viewport: PHONE, isMobile: true, hasTouch: true, serviceWorkers: 'allow' } as const;
  const phone = await (await browser.newContext({ baseURL: address, ...likePhone })).newPage();
  const data = { token, name: 'Tobias', email: `${crypto.randomUUID()}@example.org`, passphrase: 'a long passphrase' };
  expect((await phone.request.post('/api/invitations/take', { ...AS_PAGES, data })).ok()).toBe(true);
  return phone;
}

/** A morning at the far end of the garden, h. */
const HOURS_AWAY = 3;

/** Waits until the page is one that opens without a connection, with its answers kept. */
async function isKept(phone: Page, ...said: readonly string[]): Promise<void> {
  await phone.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await expect.poll(() => keptInBrowser(phone, 'dew-pot', said)).toBe(true);
}

test('a phone that is three hours without connection demoulds, weighs and takes a photo; back in reach all is sent once, and what two people did is settled', async ({ page, browser, address }) => {
  await beginWorkshop(page);
  const [a, b, c] = await pourPots(page.request, 3, 24 * 10);
  for (const cast of [b!, c!]) await happened(page.request, cast.id, 24 * 8, { type: 'demoulded', damage: [] });
  await happened(page.request, c!.id, 24 * 3, { type: 'uncovered' });
  const phone = await tobiasPhone(page, browser, address);
  // Its three hours without a connection end with the test's own present.
  await phone.clock.install({ time: Date.now() - HOURS_AWAY * 3_600_000 });
  for (const { id } of [b!, c!]) {
    await phone.goto(`/casts/${id}`);
    await isKept(phone, `"one","${id}"`);
  }
  await phone.goto('/');
  await expect(phone.getByRole('button', { name: /^Demould: / }).first()).toBeVisible();
  await isKept(phone, '"casts","shelf"');
  await phone.context().setOffline(true);

  await phone.reload();
  await phone.getByRole('button', { name: /^Demould: / }).first().click();
  await phone.getByRole('button', { name: 'Out, clean' }).click();
  await expect(phone.getByText(/Kept on this device/)).toBeVisible();
  await expect(phone.getByText(/^Recorded here, not sent yet: /)).toBeVisible();
  await expect(phone.getByText(/As it was today/)).toBeVisible();

  await phone.goto(`/casts/${b!.id}`);
  await phone.getByRole('button', { name: 'Look over' }).first().click();
  await phone.getByRole('dialog').getByRole('button', { name: 'White bloom' }).click();
  await phone.getByLabel('Photo of White bloom').setInputFiles({ name: 'b.png', mimeType: 'image/png', buffer: Buffer.from(await photoWithCard(page, [[200, 200], [600, 200], [400, 600]])) }); // prettier-ignore
  await phone.getByRole('button', { name: 'Keep this fault' }).click();
  await expect(phone.getByRole('dialog')).toHaveCount(0);
  await expect(phone.getByText(/White bloom.*not sent yet/)).toBeVisible();

  await phone.goto(`/casts/${c!.id}`);
  await phone.getByRole('button', { name: 'Weigh', exact: true }).first().click();
  await phone.getByLabel('Mass of 1c').fill(`${Math.round(c!.expected.dry * 1.04)} g`);
  await phone.getByRole('button', { name: 'Save weighing' }).click();
  await expect(phone.getByRole('status').filter({ hasText: '4 entries wait here' })).toBeVisible();
  await happened(page.request, a!.id, 1, { type: 'demoulded', damage: [{ spot: 'rim', size: 'chip' }] });

  // The phone is put away, and taken out again before it is back in reach.
  await phone.clock.fastForward(HOURS_AWAY * 3_600_000);
  await phone.reload();
  await phone.getByRole('link', { name: 'Look at them' }).click();
  await expect(phone.getByRole('region', { name: 'Waits for the connection' }).getByRole('listitem')).toHaveCount(4);
  await phone.context().setOffline(false);
  const settling = phone.getByRole('region', { name: 'Not taken' });
  await expect(settling.getByRole('region', { name: 'On record' })).toContainText('rim');
  await expect.poll(async () => (await detail(page, b!.id)).pictures.length).toBe(1);
  expect(typesOf(await detail(page, b!.id))).toEqual(['poured', 'demoulded', 'fault-seen']);
  expect(typesOf(await detail(page, c!.id))).toEqual(['poured', 'demoulded', 'uncovered', 'weighed']);
  await settling.getByRole('button', { name: 'Put this in its place' }).click();
  await expect(phone.getByText(/Everything that was recorded on this device/)).toBeVisible();
  expect(typesOf(await detail(page, a!.id))).toEqual(['poured', 'demoulded', 'voided', 'demoulded']);
  expect((await castsOf(page.request)).find(({ id }) => id === a!.id)?.life.damage).toEqual([]);
  await phone.context().close();
}); // prettier-ignore

test('a label opens its cast: before the camera, and on a photo of it', async ({ page, browser, address }) => {
  await beginWorkshop(page);
  const [cast] = await pourPots(page.request, 1, 24 * 10);
  const phone = await tobiasPhone(page, browser, address);
  const label = await qrcode.toDataURL(`https://elsewhere.example/casts/${cast!.id}`, { width: 300 });
  const other = await qrcode.toBuffer('https://example.org/');
  await phone.goto('/casts/label');
  await expect(phone.getByText(/no camera here/)).toBeVisible();
  const photo = phone.getByLabel('Read a photo of a label');
  await photo.setInputFiles({ name: 'o.png', mimeType: 'image/png', buffer: other });
  await expect(phone.getByRole('alert')).toContainText('on no label of a cast');
  await photo.setInputFiles({ name: 'n.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') });
  await expect(phone.getByRole('alert')).toContainText('no picture');
  await photo.setInputFiles({ name: 'l.png', mimeType: 'image/png', buffer: Buffer.from(label.split(',')[1]!, 'base64') }); // prettier-ignore
  await expect(phone.getByRole('heading', { name: /^1a/ })).toBeVisible();

  // A camera that sees the label, somewhat turned.
  await phone.addInitScript((drawn) => {
    navigator.mediaDevices.getUserMedia = async () => {
      const picture = new Image();
      picture.src = drawn;
      await picture.decode();
      const canvas = Object.assign(document.createElement('canvas'), { width: 640, height: 480 });
      const context = canvas.getContext('2d')!;
      const draw = () => {
        context.setTransform(1, 0, 0, 1, 0, 0);
        context.fillStyle = '#ccc';
        context.fillRect(0, 0, 640, 480);
        context.setTransform(0.95, 0.2, -0.2, 0.95, 200, 60);
        context.drawImage(picture, 0, 0);
      };
      setInterval(draw, 50);
      return canvas.captureStream(20);
    };
  }, label);
  await phone.goto('/casts/label');
  await expect(phone.getByRole('heading', { name: /^1a/ })).toBeVisible();
  await phone.context().close();
});

test('it can be installed: the manifest has its icons and its ways in', async ({ page }) => {
  await page.goto('/');
  const address = await page.locator('link[rel=manifest]').getAttribute('href');
  const manifest = (await (await page.request.get(address!)).json()) as {
    icons: { src: string; sizes: string; purpose?: string }[];
    shortcuts: { url: string }[];
  };
  expect(manifest).toMatchObject({ display: 'standalone', start_url: '/', id: '/' });
  expect(manifest.icons.some(({ purpose }) => purpose === 'maskable')).toBe(true);
  for (const { src, sizes } of manifest.icons.filter(({ sizes }) => sizes !== 'any')) {
    const shown = await page.evaluate(async (at) => Object.assign(new Image(), { src: at }).decode().then(() => true), src); // prettier-ignore
    expect([src, sizes, shown]).toEqual([src, sizes, true]);
  }
  expect(manifest.shortcuts.map(({ url }) => url)).toEqual(['/', '/bench', '/casts/weigh', '/casts/label']);
});
