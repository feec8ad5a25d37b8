import { createHmac } from 'node:crypto';
import { createServer, type IncomingHttpHeaders } from 'node:http';
import type { AddressInfo } from 'node:net';
import { text } from 'node:stream/consumers';
import type { CastView, WebhookBody } from '@dewpot/contract';
import { beginWorkshop, castsOf, expect, happened, pourPots, test } from './house.js';

interface Posted {
  readonly headers: IncomingHttpHeaders;
  readonly body: string;
}

/** A lamp in the shed: keeps what is posted to it, and answers with a status. */
async function shedLamp() {
  const posted: Posted[] = [];
  const lamp = { status: 204, posted, address: '', close: () => undefined as void };
  const server = createServer((request, response) => {
    void text(request).then((body) => {
      posted.push({ headers: request.headers, body });
      response.writeHead(lamp.status).end();
    });
  });
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
  lamp.address = `http://127.0.0.1:${(server.address() as AddressInfo).port}/due`;
  lamp.close = () => void server.close();
  return lamp;
}

const typeOf = ({ body }: Posted) => (JSON.parse(body) as WebhookBody).type;

test('a scale of one’s own weighs a cast by its bridge; once its token is revoked nothing of it counts', async ({
  page,
  playwright,
  address,
}) => {
  await beginWorkshop(page);
  // A workshop of its own: what of the demo wants weighing depends on the hour.
  const [cast] = (await pourPots(page.request, 1, 40 * 24)) as [CastView];
  await happened(page.request, cast.id, 38 * 24, { type: 'demoulded', damage: [] });
  await happened(page.request, cast.id, 32 * 24, { type: 'uncovered' });
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
  await expect(page.getByRole('heading', { name: cast.code })).toBeVisible();
  const mass = Math.round((cast.expected.fresh + cast.expected.dry) / 2);
  let on = true;
  const weighing = (async () => {
    while (on) {
      await weigh(mass);
      await page.waitForTimeout(200);
    }
  })();
  await expect(page.getByText(/By the scale\./)).toBeVisible();
  await page.getByRole('button', { name: 'Save, next piece' }).click();
  await expect(page.getByText('All weighed')).toBeVisible();
  on = false;
  await weighing;
  const [{ life }] = (await castsOf(page.request)) as [CastView];
  const { weighings } = life;
  expect(weighings.at(-1)).toMatchObject({ mass, step: 1 });

  await page.goto('/workshop');
  await page.getByRole('button', { name: 'End the session of Shed scale' }).click();
  await expect(page.getByText('Shed scale')).toHaveCount(0);
  expect((await weigh(1)).status()).toBe(401);
  await bridge.dispose();
});

test('a lamp in the shed is told, signed; what it does not take is said and tried again', async ({ page }) => {
  const lamp = await shedLamp();
  await beginWorkshop(page);
  await page.goto('/workshop');
  const slab = page.getByRole('region', { name: 'Webhooks' });
  await slab.getByText('Add an address').click();
  await slab.getByLabel('Whom it tells').fill('Shed lamp');
  await slab.getByLabel(/^Address/).fill(lamp.address);
  await slab.getByRole('button', { name: 'Add it' }).click();
  const secret = await slab.getByLabel(/^Copy its secret now/).inputValue();
  await expect(slab.getByText('Nothing was sent yet.')).toBeVisible();

  await slab.getByRole('button', { name: 'Try Shed lamp' }).click();
  await expect(slab.getByText(/^A try, .*: taken$/)).toBeVisible();
  const [{ headers, body }] = lamp.posted as [Posted];
  const signed = `${String(headers['dew-pot-delivery'])}.${String(headers['dew-pot-time'])}.${body}`;
  expect(headers['dew-pot-signature']).toBe(`sha256=${createHmac('sha256', secret).update(signed).digest('hex')}`);

  lamp.status = 500;
  await slab.getByRole('button', { name: 'Try Shed lamp' }).click();
  await expect(slab.getByText(/^A try, .*not taken: HTTP 500\. It is tried again/)).toBeVisible();
  lamp.status = 204;
  // It is tried again some seconds later.
  await expect(slab.getByText(/not taken/)).toHaveCount(0, { timeout: 90_000 });
  await expect(slab.getByText(/^A try, .*: taken$/)).toHaveCount(2);
  const deliveries = lamp.posted.map((one) => one.headers['dew-pot-delivery']);
  expect(new Set(deliveries).size).toBe(2);
  expect(lamp.posted.map(typeOf)).toEqual(deliveries.map(() => 'try'));
  await slab.getByRole('button', { name: 'Remove Shed lamp' }).click();
  await expect(slab.getByText('Shed lamp')).toHaveCount(0);
  lamp.close();
}); // prettier-ignore
