import { beginWorkshop, castsOf, expect, moveBack, test } from './house.js';

test('one pot goes from the mould on the bench to its finish', async ({ page }) => {
  await beginWorkshop(page);

  await test.step('the mould is described, in whatever unit', async () => {
    await page.getByRole('link', { name: 'Measure a mould' }).click();
    await page.getByRole('link', { name: 'Two nested tubs' }).click();
    await page.getByLabel('Name').fill('Nested pail pot');
    await page.getByLabel('Inside diameter at the rim').fill('20 cm');
    await page.getByLabel('Inside height').fill('180');
    await page.getByLabel('Drain plug’s diameter').fill('19 mm');
    await page.getByLabel('Name').focus();
    await expect(page.getByLabel('Inside diameter at the rim')).toHaveValue('200 mm');
    const answers = page.getByRole('region', { name: 'What follows' });
    await expect(answers).toContainText('2.01L');
    await expect(answers).toContainText('19.9mm');
    await expect(answers).toContainText('6.65kg');
    const line = page.getByRole('slider', { name: 'Fill line' });
    await line.focus();
    await line.press('Home');
    for (let i = 0; i < 6; i++) await line.press('PageUp');
    await expect(line).toHaveAttribute('aria-valuetext', /60 mm high, 758 mL/);
    await page.getByRole('button', { name: 'One more' }).click();
    await page.getByRole('button', { name: 'One more' }).click();
    await page.getByRole('button', { name: 'Save mould' }).click();
    await expect(page.getByText('Nested pail pot is kept.')).toBeVisible();
  });

  await test.step('the mix is written, the can and a lot are added', async () => {
    await page.goto('/mixes/new?as=garden');
    await page.getByLabel('Name').fill('Garden grey');
    await expect(page.getByRole('region', { name: 'What it implies' })).toContainText('between');
    await page.getByRole('button', { name: 'Save mix' }).click();
    await expect(page.getByText('Garden grey is kept.')).toBeVisible();
    await page.goto('/materials');
    await page.getByRole('button', { name: 'A scoop' }).click();
    await page.getByLabel('What you call it').fill('the bean can');
    await page.getByLabel('Holds, struck level').fill('400 mL');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByRole('button', { name: /the bean can/ })).toBeVisible();
    await page.getByRole('button', { name: 'Add a lot', exact: true }).click();
    await page.getByLabel(/Price of the lot/).fill('7.40');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByRole('region', { name: 'In the store' })).toContainText('25.0 kg of 25.0 kg');
  });

  await test.step('the sheet tells the scoops, and the pour is logged', async () => {
    await page.goto('/moulds');
    await page.getByRole('link', { name: /Nested pail pot/ }).click();
    await page.getByRole('link', { name: 'Plan a pour' }).click();
    await expect(page.getByLabel('How many of Nested pail pot')).toHaveValue('3');
    await page.getByText('Measuring', { exact: true }).click();
    await page.getByLabel('Scoop at hand').selectOption({ label: 'the bean can, 400 mL' });
    const sheet = page.getByRole('region', { name: 'Mixing sheet' });
    await expect(sheet.getByRole('img', { name: /^5¾ scoops of Grey Portland cement/ })).toBeVisible();
    await expect(sheet.getByRole('img', { name: /^14½ scoops of Sharp sand/ })).toBeVisible();
    await page.getByText('Damp materials').click();
    await page.getByText('Holds a lump').click();
    await expect(sheet.getByRole('img', { name: /^17½ scoops of Sharp sand/ })).toBeVisible();
    await expect(sheet).toContainText('Damp and liquid materials bring');
    await page.getByText('Runs through the fingers').click();
    await sheet.getByText('Where does this come from?').first().click();
    await expect(sheet).toContainText('3 × Nested pail pot');
    await page.getByRole('button', { name: 'Start this pour' }).click();
    await page.getByRole('button', { name: 'Scoop 3 of Grey Portland cement' }).click();
    await expect(page.getByRole('group', { name: 'Grey Portland cement: 3 of 6 scoops in' })).toBeVisible();
    await page.getByLabel('Water from the tap').fill('1.6 L');
    await moveBack(page, 24 * 25);
    await page.getByRole('button', { name: /^Poured: 3 casts/ }).click();
    await expect(page.getByText('3 casts stand on the shelf.')).toBeVisible();
  });

  await test.step('they are demoulded, one hurt, and uncovered', async () => {
    await page
      .getByRole('button', { name: /^Demould: Nested pail pot × 3/ })
      .first()
      .click();
    const sheet = page.getByRole('dialog');
    await sheet.getByRole('group', { name: 'Damage to 1b' }).getByRole('button', { name: 'rim' }).click();
    await sheet.getByText('Slid out').click();
    await moveBack(page, 24 * 23);
    await sheet.getByRole('button', { name: 'Out, with this damage' }).click();
    await expect(page.getByRole('group', { name: 'Curing: 3' })).toBeVisible();
    await page
      .getByRole('button', { name: /^End moist curing: Nested pail pot × 3/ })
      .first()
      .click();
    await moveBack(page, 24 * 15);
    await page.getByRole('button', { name: 'Ended just now' }).click();
    await expect(page.getByRole('group', { name: 'Drying: 3' })).toBeVisible();
  });

  const [first] = await castsOf(page.request);
  await page.getByRole('link', { name: 'Nested pail pot 1a' }).click();
  await expect(page.getByText('Water–cement ratio, as mixed')).toBeVisible();

  await test.step('it is weighed, refused a coat while it is damp, and weighed until it is dry', async () => {
    const { dry, loss } = first!.expected;
    const weigh = async (ago: number, water: number) => {
      await page.getByRole('button', { name: 'Something else' }).click();
      await page.getByRole('tab', { name: 'Weigh' }).click();
      await page.getByLabel('Mass of 1a').fill(`${Math.round(dry + loss * water)} g`);
      await moveBack(page, ago);
      await page.getByRole('button', { name: 'Save weighing' }).click();
      await expect(page.getByRole('dialog')).toBeHidden();
    };
    await weigh(24 * 14, 0.6);
    await weigh(24 * 12, 0.24);
    await page.getByRole('button', { name: 'Weigh', exact: true }).click();
    await page.getByRole('tab', { name: 'Apply coat' }).click();
    await expect(page.getByRole('alert')).toContainText('Better to wait');
    await expect(page.getByRole('alert')).toContainText('It needs 1 more weighing');
    await expect(page.getByRole('button', { name: 'Coat against the advice' })).toBeDisabled();
    await page.getByRole('button', { name: 'Close', exact: true }).click();
    for (const [days, water] of [
      [10, 0.09],
      [8, 0.035],
      [6, 0.014],
      [4, 0.006],
      [2, 0.003],
    ] as const)
      await weigh(24 * days, water);
    await expect(page.getByText('Ready to seal')).toBeVisible();
    await expect(page.getByRole('img', { name: 'Strength and drying of 1a: 7 weighings' })).toBeVisible();
  });

  await test.step('it is sealed, the coat is undone and put on again, and it goes out', async () => {
    const coat = async () => {
      await page.getByRole('button', { name: 'Apply coat', exact: true }).first().click();
      await page.getByRole('group', { name: 'Coats' }).getByText('1', { exact: true }).click();
      await page.getByRole('button', { name: 'One coat is on' }).click();
      await expect(page.getByText('Garden grey, sealed')).toBeVisible();
    };
    await coat();
    await page.getByRole('button', { name: /^Undo: Coated with penetrating silane/ }).click();
    await expect(page.getByText('Garden grey, drying')).toBeVisible();
    await page.getByRole('button', { name: 'Show 1 undone' }).click();
    await coat();
    await page.getByRole('button', { name: 'Finish', exact: true }).click();
    await page.getByLabel(/Where does it go/).fill('the raised beds');
    await page.getByRole('dialog').getByRole('button', { name: 'Finish', exact: true }).click();
    await expect(page.getByText('Garden grey, finished')).toBeVisible();
    await expect(page.getByRole('region', { name: 'Record' })).toContainText('Finished, kept: the raised beds');
  });
});
