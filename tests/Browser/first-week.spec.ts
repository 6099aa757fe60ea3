import { expect, openNewKitchen, test } from './kitchen';

test('from an empty kitchen to a first week in at most ten taps', async ({ page }, info) => {
  let taps = 0;
  const tap = async (what: ReturnType<typeof page.getByRole>) => {
    taps += 1;
    await what.click();
  };
  taps += 1;
  await openNewKitchen(page);
  // Typing goes from field to field with the tabulator; a tap only where a hand would tap.
  taps += 1;
  await page.getByLabel('Name', { exact: true }).fill('Ada');
  await expect(page.getByText('Other food is everything else on the plate')).toBeVisible();
  taps += 1;
  await page.getByLabel('Name of the kitchen').fill('A first kitchen');
  await page.getByLabel('E-mail').fill(`${info.testId}-${String(Date.now())}@example.org`);
  await page.getByLabel('Password, at least 10 characters').fill('a long enough password');
  await tap(page.getByRole('button', { name: 'Create the kitchen' }));

  // The plan is where a new kitchen begins: it says what to buy and what to start.
  await expect(page).toHaveURL(/week$/);
  const way = page.getByRole('region', { name: 'Nothing live is ready yet: a way in' });
  await expect(way.getByRole('listitem').first()).toBeVisible();
  await expect(way).toContainText('It is not live and does not count');
  const count = await way.getByRole('listitem').count();
  await tap(way.getByRole('button', { name: 'Plan all of these' }));

  await expect(page).toHaveURL(/ahead$/);
  await expect(page.getByRole('region', { name: 'To buy' }).getByRole('listitem').first()).toBeVisible();
  await expect(
    page.getByRole('region', { name: 'What to start' }).getByRole('listitem').filter({ hasText: 'planned' }),
  ).toHaveCount(count);
  await tap(page.getByRole('link', { name: 'Today', exact: true }));
  // The first of them is started from its chore.
  const chores = page.getByRole('region', { name: 'Chores' });
  await tap(chores.getByRole('link', { name: 'Open the formula' }).first());
  await tap(page.getByRole('button', { name: /^Start/ }).first());
  await expect(page).toHaveURL(/(counter|shelf)\//);
  expect(taps).toBeLessThanOrEqual(10);
});
