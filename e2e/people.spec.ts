import { violations } from './every-screen.js';
import { AS_PAGES, beginWorkshop, expect, PHONE, pourPots, test } from './house.js';

test('a helper comes in by a link on their phone, demoulds at once, and changes no mould; then leaves for good', async ({ page, browser, address }) => {
  await beginWorkshop(page);
  await pourPots(page.request, 1, 24 * 60);
  await page.goto('/workshop');
  await page.getByText('Invite somebody').click();
  await page.getByLabel('They come in as').selectOption({ label: 'Helper' });
  await page.getByRole('button', { name: 'Make an invitation' }).click();
  await expect(page.getByRole('img', { name: 'The link as a QR code' })).toBeVisible();
  const link = await page.getByLabel(/^Give them this link/).inputValue();

  const phone = await browser.newPage({ baseURL: address, viewport: PHONE });
  await phone.goto(link);
  await expect(phone.getByText(/^Ada invites you as a helper/)).toBeVisible();
  expect(await violations(phone)).toEqual([]);
  await phone.getByLabel('Your name').fill('Tobias');
  await phone.getByLabel('E-mail').fill(`${crypto.randomUUID()}@example.org`);
  await phone.getByLabel(/^Passphrase/).fill('a long passphrase');
  await phone.getByRole('button', { name: 'Come in' }).click();
  await expect(phone.getByText(/^You are a helper here/)).toBeVisible();
  await phone.getByRole('button', { name: /^Demould: / }).first().click();
  await phone.getByRole('button', { name: 'Out, clean' }).click();
  await expect(phone.getByRole('button', { name: /^Demould: / })).toHaveCount(0);
  await phone.goto('/moulds/new?as=trough');
  await expect(phone.getByText(/Casters and owners save/)).toBeVisible();
  await expect(phone.getByRole('button', { name: /^Save / })).toHaveCount(0);
  const data = { name: 'Not mine', volume: 400, version: 0 };
  const refused = await phone.request.put(`/api/scoops/${crypto.randomUUID()}`, { ...AS_PAGES, data });
  expect(refused.status()).toBe(403);

  const late = await browser.newPage({ baseURL: address });
  await late.goto(link);
  await expect(late.getByRole('alert')).toContainText('It was taken up already');
  await page.reload();
  await expect(page.getByLabel('Role of Tobias')).toHaveValue('helper');
  await phone.goto('/workshop');
  await phone.getByRole('button', { name: 'Leave this workshop' }).click();
  await phone.getByRole('button', { name: 'Leave now' }).click();
  await expect(phone.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await page.reload();
  await expect(page.getByText('Ada', { exact: true }).first()).toBeVisible();
  await expect(page.getByLabel('Role of Tobias')).toHaveCount(0);
}); // prettier-ignore

test('one account has a passkey, which opens the door, and a second workshop, which it goes to and comes back from', async ({
  browser,
  address,
}) => {
  // Browsers have passkeys at an address with a name.
  const page = await browser.newPage({ baseURL: address.replace('127.0.0.1', 'localhost') });
  const authenticator = await page.context().newCDPSession(page);
  await authenticator.send('WebAuthn.enable');
  const options = { protocol: 'ctap2', transport: 'internal', hasResidentKey: true, hasUserVerification: true, isUserVerified: true } as const; // prettier-ignore
  await authenticator.send('WebAuthn.addVirtualAuthenticator', { options });
  await beginWorkshop(page);
  await page.goto('/workshop');
  const account = page.getByRole('region', { name: 'Your account' });
  await account.getByText('Passkeys', { exact: true }).click();
  await account.getByLabel('What you call it').fill('My phone');
  await account.getByRole('button', { name: 'Add a passkey' }).click();
  await expect(account.getByText('Not used yet')).toBeVisible();

  await page.getByText('Ada', { exact: true }).first().click();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await page.getByRole('button', { name: 'Come in with a passkey' }).click();
  await expect(page.getByRole('heading', { name: 'Nothing stands here yet' })).toBeVisible();

  await page.goto('/workshop');
  const workshops = page.getByRole('region', { name: 'Your workshops' });
  await workshops.getByText('Begin another workshop').click();
  await workshops.getByLabel('Name of the workshop').fill('Kiln Room');
  await workshops.getByRole('button', { name: 'Begin' }).click();
  await expect(page).toHaveURL(/set-up/);
  await page.goto('/');
  await expect(page.getByRole('banner')).toContainText('Kiln Room');
  await page.getByText('Ada', { exact: true }).first().click();
  await page.getByRole('button', { name: 'Go to Quince Yard' }).click();
  await expect(page.getByRole('banner')).toContainText('Quince Yard');
  await page.close();
});
