import { randomBytes } from 'node:crypto';
import { expect, test as base, type APIRequestContext, type Page } from '@playwright/test';
import type { CastView, MaterialView, StoreView } from '@dewpot/contract';
import { v7 as uuid } from 'uuid';
import { startTrial } from '../scripts/lib/trial.mjs';

export { expect };
export { uuid };

const HOUR = 3_600_000;

/** The widths that screens are drawn for, px. */
export const DESK = { width: 1280, height: 800 };
export const PHONE = { width: 390, height: 844 };

/** The tests' base: each worker has a Dew Pot of its own with the demo workshop; a journey that wants its own workshop begins one. */
export const test = base.extend<object, { address: string }>({
  address: [
    // Playwright reads the names of the fixtures from this pattern.
    async ({}, use) => {
      const trial = await startTrial({ demo: true, from: process.env.DEWPOT_DEMO_CLUSTER });
      await use(trial.url);
      await trial.stop();
    },
    { scope: 'worker', timeout: 300_000 },
  ],
  baseURL: async ({ address }, use) => {
    await use(address);
  },
});

export interface Account {
  readonly email: string;
  readonly passphrase: string;
}

/** Of a request that a test sends in the page's place: it comes from our own pages. */
export const AS_PAGES = { headers: { 'Sec-Fetch-Site': 'same-origin' } };

/** Begins a workshop through the door. */
export async function beginWorkshop(page: Page, name = 'Quince Yard'): Promise<Account> {
  const account = { email: `${randomBytes(5).toString('hex')}@example.org`, passphrase: 'a long passphrase' };
  await page.goto('/');
  await page.getByRole('button', { name: 'Begin a workshop of my own' }).click();
  await page.getByLabel('Name of the workshop').fill(name);
  await page.getByLabel('Your name').fill('Ada');
  await page.getByLabel('E-mail').fill(account.email);
  await page.getByLabel(/^Passphrase/).fill(account.passphrase);
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'What do you work with?' })).toBeVisible();
  await page.getByLabel('Your scoop').fill('A 1-litre jug');
  await page.getByLabel('It holds, struck level').fill('1 L');
  await page.getByLabel('Temperature where casts stand').fill('18');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Nothing stands here yet' })).toBeVisible();
  return account;
}

export async function enterDemo(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'Look round the demo workshop' }).click();
  await expect(page.getByRole('heading', { name: 'Today', exact: true })).toBeVisible();
}

/** A time so many hours ago as the field for it wants it, in the browser's own zone. */
export function hoursAgo(page: Page, hours: number): Promise<string> {
  return page.evaluate(
    (at) => {
      const when = new Date(at);
      const pad = (n: number) => String(n).padStart(2, '0');
      return `${when.getFullYear()}-${pad(when.getMonth() + 1)}-${pad(when.getDate())}T${pad(when.getHours())}:${pad(when.getMinutes())}`;
    },
    Date.now() - hours * HOUR,
  );
}

export async function moveBack(page: Page, hours: number): Promise<void> {
  await page.getByRole('button', { name: 'It was earlier' }).click();
  await page.getByLabel('It happened').fill(await hoursAgo(page, hours));
}

export async function castsOf(request: APIRequestContext): Promise<CastView[]> {
  return (await (await request.get('/api/casts/shelf')).json()) as CastView[];
}

const frustum = (bottomDiameter: number, topDiameter: number, height: number) => ({
  kind: 'round-frustum',
  bottomDiameter,
  topDiameter,
  height,
});

/** What is poured in place of grey pots: parts of the mould, the mix and the pour, and what the mix is made of. */
export interface PouredOtherwise {
  readonly mould?: object;
  readonly mix?: object;
  readonly lines?: readonly (readonly [material: string, parts: number])[];
  readonly pour?: object;
}
const usualLines = [
  ['Grey Portland', 1],
  ['Sharp sand', 2.5],
] as const;

/** Pots poured so many hours ago, by the API, so that a journey can begin on the shelf. */
export async function pourPots(
  request: APIRequestContext,
  count: number,
  ago: number,
  { mould: ofMould = {}, mix: ofMix = {}, lines = usualLines, pour: ofPour = {} }: PouredOtherwise = {},
): Promise<CastView[]> {
  const send = async (method: 'put' | 'post', path: string, data: object) => {
    const answer = await request[method](`/api/${path}`, { ...AS_PAGES, data });
    expect(answer.ok(), `${path}: ${await answer.text()}`).toBe(true);
  };
  const { materials } = (await (await request.get('/api/store')).json()) as StoreView;
  const find = (name: string) => materials.find((one: MaterialView) => one.name.startsWith(name))!.id;
  const [mould, mix, scoop, pour] = [uuid(), uuid(), uuid(), uuid()];
  const core = { name: 'The core', bottom: 18, solid: frustum(124, 160, 162) };
  await send('put', `moulds/${mould}`, {
    name: 'Nested pot',
    flexibility: 'rigid',
    piece: 'pot',
    shape: { outer: frustum(160, 200, 180), cores: [core], inserts: [] },
    copies: [{ id: uuid(), mark: 'A' }],
    ...ofMould,
    version: 0,
  });
  await send('put', `mixes/${mix}`, {
    name: 'Garden grey',
    by: 'volume',
    grade: 5,
    exposure: 'outdoors',
    packed: false,
    binderClass: 'portland',
    moistCuringDays: 7,
    colour: '#b3ada1',
    lines: lines.map(([name, parts]) => ({ materialId: find(name), parts })),
    ...ofMix,
    version: 0,
  });
  await send('put', `scoops/${scoop}`, { name: 'the bean can', volume: 400, version: 0 });
  await send('put', `pours/${pour}`, {
    items: [{ mouldId: mould, count }],
    mixId: mix,
    grade: 5,
    spare: 0.05,
    moisture: {},
    scoopId: scoop,
    step: 0.25,
    temperature: 18,
    ...ofPour,
    version: 0,
  });
  await send('post', `pours/${pour}/finish`, {
    logs: [
      {
        used: Object.fromEntries(lines.map(([name, parts]) => [find(name), 4500 * parts])),
        tap: 2100,
        grade: 5,
        temperature: 18,
      },
    ],
    casts: Array.from({ length: count }, () => ({ id: uuid(), item: 0 })),
    pouredAt: Date.now() - ago * HOUR,
  });
  return castsOf(request);
}

/** Tells the API that something happened to a cast so many hours ago. */
export async function happened(request: APIRequestContext, castId: string, ago: number, event: object): Promise<void> {
  const data = { id: uuid(), at: Math.round(Date.now() - ago * HOUR), ...event };
  const answer = await request.post(`/api/casts/${castId}/events`, { ...AS_PAGES, data });
  expect(answer.ok(), await answer.text()).toBe(true);
}

/** Whether the browser has kept all these parts under a name. */
export const keptInBrowser = (page: Page, name: string, parts: readonly string[]) =>
  page.evaluate(
    (asked) =>
      new Promise<boolean>((resolve) => {
        const opened = indexedDB.open('keyval-store');
        opened.onsuccess = () => {
          const read = opened.result.transaction('keyval').objectStore('keyval').get(asked.name);
          read.onsuccess = () => resolve(asked.parts.every((part) => String(read.result).includes(part)));
        };
      }),
    { name, parts },
  );
