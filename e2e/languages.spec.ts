import type { Page } from '@playwright/test';
import type { CastView, SessionView } from '@dewpot/contract';
import { makeSpeaker, type Speaker } from '@dewpot/locales';
import { lookupIn } from '@dewpot/locales/all';
import { rounds, violations, visitScreens } from './every-screen.js';
import { AS_PAGES, castsOf, expect, happened, hoursAgo, test } from './house.js';
import { plainEnglish, readPseudo } from './pseudo.js';

const speaker = (language: 'en' | 'es', system: 'metric' | 'us' = 'metric'): Speaker =>
  makeSpeaker({ language, system, currency: 'EUR' }, lookupIn(language));

/** Enters the demo by the first control of its door, whatever that says. */
async function enter(page: Page): Promise<void> {
  await page.goto('/');
  const entered = page.waitForResponse((response) => response.url().endsWith('/api/session/demo') && response.ok());
  await page.getByRole('main').getByRole('button').first().click();
  await entered;
}

/** All that stands on a page, and all that it tells whoever hears it. */
const saidOn = (page: Page) =>
  page.evaluate(() => {
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    const texts: string[] = [];
    while (walker.nextNode()) {
      const { parentElement, textContent } = walker.currentNode;
      // A book is in its own language; currencies and time zones are named by the browser.
      if (parentElement?.closest('[lang]') !== document.documentElement) continue;
      if ((parentElement?.closest('select')?.options.length ?? 0) < 60) texts.push(textContent?.trim() ?? '');
    }
    const told = [...document.querySelectorAll('[aria-label]:not([lang])')].map((one) => one.getAttribute('aria-label') ?? ''); // prettier-ignore
    return [...new Set([...texts, ...told])].filter(Boolean);
  });

/** What every screen may name: asked for here, since a page that is left at once takes its answers with it. */
const SHARED = ['store', 'moulds/all', 'mixes/all', 'tints/all'] as const;

/** Keeps every text of the workshop's own data that the page is sent. */
function hearData(page: Page): { own: Set<string>; hearShared: () => Promise<void> } {
  const own = new Set<string>();
  const keep = (value: unknown): void => {
    if (typeof value === 'string') own.add(value);
    else if (value && typeof value === 'object') Object.values(value).forEach(keep);
  };
  page.on('response', (response) => {
    if (response.url().includes('/api/')) void response.json().then(keep, () => undefined);
  });
  const hearShared = async () => {
    for (const path of SHARED) keep(await (await page.request.get(`/api/${path}`)).json());
  };
  return { own, hearShared };
}

for (const round of rounds) {
  test(`in Spanish every screen fits a desk and a phone, and keeps nobody out: ${round}`, async ({ page }) => {
    await page.addInitScript(() => localStorage.setItem('dew-pot-language', 'es'));
    await enter(page);
    await visitScreens(page, round, async (screen, at) => {
      if (at === 'desk') expect(await violations(page, 'words'), screen).toEqual([]);
    });
    await expect(page.locator('html')).toHaveAttribute('lang', 'es');
  });

  test(`in a longer language every screen fits, and says nothing that is in no catalogue: ${round}`, async ({
    page,
  }) => {
    await readPseudo(page);
    const { own, hearShared } = hearData(page);
    await enter(page);
    await hearShared();
    await visitScreens(page, round, async (screen) => {
      // What a page was sent may stand on it before it was heard here.
      await expect.poll(async () => plainEnglish(await saidOn(page), own), screen).toEqual([]);
    });
  });
}

/** Begins a workshop, says nothing of it, and lets it count in units. */
async function begin(page: Page, say: Speaker): Promise<void> {
  await page.goto('/');
  await page.getByText(say.reader.language === 'es' ? 'Español' : 'English').click();
  await page.getByRole('button', { name: say('shell.beginOwn') }).click();
  await page.getByLabel(say('shell.workshopName')).fill('Quince Yard');
  await page.getByLabel(say('shell.yourName')).fill('Ada');
  await page.getByLabel(say('shell.email')).fill(`${crypto.randomUUID()}@example.org`);
  await page.getByLabel(say('shell.passphraseNew')).fill('a long passphrase');
  await page.getByRole('button', { name: say('shell.begin'), exact: true }).click();
  await page.getByLabel(say('workshop.yourScoop')).fill('A jug');
  await page.getByLabel(say('workshop.holdsLevel')).fill('1 L');
  await page.getByLabel(say('workshop.tempWhere')).fill('18 °C');
  await page.getByRole('button', { name: say('care.keep') }).click();
  await expect(page).toHaveURL(/\/$/);
  const { workshop } = (await (await page.request.get('/api/session')).json()) as SessionView;
  const { id: _, demo: __, ...settings } = workshop;
  const data = { ...settings, units: say.reader.system };
  expect((await page.request.put('/api/workshop', { ...AS_PAGES, data })).ok()).toBe(true);
}

/** From the tape measure to the sealed pot, in any language and any units. */
async function mouldToSealed(page: Page, say: Speaker, { rim, told }: { rim: string; told: RegExp }): Promise<void> {
  await begin(page, say);
  await page.goto('/moulds/new');
  await page.getByRole('link', { name: say('moulds.startTubs') }).click();
  await page.getByLabel(say('moulds.name'), { exact: true }).fill('Nested pot');
  const field = page.getByLabel(say('moulds.fieldOf', { owner: 'inside', name: '', field: say('moulds.fieldDiameterRim') })); // prettier-ignore
  await field.fill(rim);
  await field.press('Enter');
  await expect(page.getByRole('region', { name: say('moulds.whatFollows') })).toContainText(told);
  await page.getByRole('button', { name: say('ui.saveWhat', { what: say('moulds.mouldWord') }) }).click();
  await expect(page).toHaveURL(/\/moulds\/[0-9a-f-]{36}/);
  await page.goto('/mixes/new?as=garden');
  await page.getByLabel(say('moulds.name'), { exact: true }).fill('Garden grey');
  await page.getByRole('button', { name: say('ui.saveWhat', { what: say('mixes.mixWord') }) }).click();
  await expect(page).toHaveURL(/\/mixes\/[0-9a-f-]{36}/);
  await page.goto('/pours/new');
  await expect(page.getByText(say('pours.expectedCasts'))).toBeVisible();
  await page.getByRole('button', { name: say('pours.startPour') }).click();
  await page.getByRole('button', { name: say('ui.itWasEarlier') }).click();
  await page.getByLabel(say('ui.itHappened')).fill(await hoursAgo(page, 24 * 25));
  await page.getByRole('button', { name: say('pours.pouredToShelf', { casts: 1 }) }).click();
  await expect(page.getByText(say('pours.castsStand', { casts: 1 }))).toBeVisible();
  await dry(page);
  await coat(page, say);
}

/** Demoulds, cures and weighs the cast down until it is dry. */
async function dry({ request }: Page): Promise<void> {
  const [{ id, expected }] = (await castsOf(request)) as [CastView];
  await happened(request, id, 24 * 24, { type: 'demoulded', damage: [] });
  await happened(request, id, 24 * 17, { type: 'uncovered' });
  for (const [days, water] of [[16, 0.6], [13, 0.15], [10, 0.04], [8, 0.014], [6, 0.006], [4, 0.003], [2, 0.002]] as const) // prettier-ignore
    await happened(request, id, 24 * days, { type: 'weighed', mass: Math.round(expected.dry + expected.loss * water), step: 1 }); // prettier-ignore
}

/** Puts one coat on the cast that is due, from the shelf, and finds it sealed on its page. */
async function coat(page: Page, say: Speaker): Promise<void> {
  const task = say('today.taskCoat');
  await page.goto('/');
  await page
    .getByRole('button', { name: new RegExp(`^${task}: Nested pot`) })
    .first()
    .click();
  await page
    .getByRole('group', { name: say('sealing.coats') })
    .getByText('1', { exact: true })
    .click();
  await page.getByRole('button', { name: say('sealing.oneCoatOn') }).click();
  await expect(page.getByRole('dialog')).toBeHidden();
  const [{ id }] = (await castsOf(page.request)) as [CastView];
  await page.goto(`/casts/${id}`);
  await expect(page.getByRole('region', { name: say('sealing.sealed') })).toBeVisible();
  await expect(page.getByText(say('ui.stageSealed')).first()).toBeVisible();
}

test('one pot goes from its mould to its sealer in Spanish', async ({ page }) => {
  await mouldToSealed(page, speaker('es'), { rim: '20,5 cm', told: /2,1\d\s?L/ });
});

test('one pot goes from its mould to its sealer in US units', async ({ page }) => {
  await mouldToSealed(page, speaker('en', 'us'), { rim: '8 1/16 in', told: /\d\.\d+\s?cups/ });
});
