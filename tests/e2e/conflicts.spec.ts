import { type Page } from '@playwright/test';
import { DEMO, expect, test, typeInto } from './shop';

/** Types into a field and waits until it is saved: its echo stands there before, and another tab could overtake it. */
async function saveInto(page: Page, name: string, text: string): Promise<void> {
  const saved = page.waitForResponse((r) => r.url().endsWith('/readings') && r.request().method() === 'POST' && r.ok());
  await typeInto(page, name, text);
  await saved;
}

test('two tabs on one field: the second is told, both values are in sight, nothing is lost', async ({
  browser,
  shop,
}) => {
  const context = await browser.newContext({ baseURL: shop.url });
  const [one, two] = [await context.newPage(), await context.newPage()];
  await one.goto(`${DEMO.planned}/measure#list`);
  await two.goto(`${DEMO.planned}/measure#list`);
  const field = two.getByLabel('Leaf width', { exact: true });
  // The second tab's edit begins before the first one saves.
  await field.fill('2 5/8 in');
  await one.bringToFront();
  await saveInto(one, 'Leaf width', '64.5');
  await expect(one.getByText('64.5 mm = 2.539 in')).toBeVisible();
  await two.bringToFront();
  await field.press('Enter');
  const alert = two.getByRole('alert').filter({ hasText: 'saved “64.5” here' });
  await expect(alert).toContainText('You typed “2 5/8 in”');
  await expect(field).toHaveValue('2 5/8 in');
  await alert.getByRole('button', { name: 'Save 2 5/8 in' }).click();
  await expect(alert).toBeHidden();
  await one.bringToFront();
  await one.reload();
  await expect(one.getByLabel('Leaf width', { exact: true })).toHaveValue('2 5/8 in');
  await context.close();
});

test('keeping the other one’s value drops the own text and leaves theirs', async ({ browser, shop }) => {
  const context = await browser.newContext({ baseURL: shop.url });
  const [one, two] = [await context.newPage(), await context.newPage()];
  await one.goto(`${DEMO.planned}/measure#list`);
  await two.goto(`${DEMO.planned}/measure#list`);
  await two.getByLabel('Block height', { exact: true }).fill('40');
  await saveInto(one, 'Block height', '45');
  await expect(one.getByText('45.0 mm')).toBeVisible();
  await two.getByLabel('Block height', { exact: true }).press('Enter');
  await two.getByRole('button', { name: 'Keep 45' }).click();
  await expect(two.getByLabel('Block height', { exact: true })).toHaveValue('45');
  await context.close();
});

test('a plan changed in another tab is not overwritten', async ({ browser, shop }) => {
  const context = await browser.newContext({ baseURL: shop.url });
  const one = await context.newPage();
  await one.goto(`${DEMO.planned}/choose`);
  // Another browser: its drafts are its own.
  const other = await browser.newContext({ baseURL: shop.url });
  const three = await other.newPage();
  await three.goto(`${DEMO.planned}/choose`);
  await typeInto(three, 'Free camber', '118');
  await expect(three.getByText('saved, version 3')).toBeVisible();
  await typeInto(one, 'Free camber', '90');
  await expect(one.locator('[role=alert].note')).toContainText('in the meantime');
  await expect(one.getByLabel('Free camber', { exact: true })).toHaveValue('90');
  await context.close();
  await other.close();
});
