import { expect, signIn, test } from './kitchen';

test.describe('in a country that writes 1,5', () => {
  test.use({ locale: 'de-DE' });

  test('takes a comma or a point, writes a comma, and names what is no number', async ({ page, cook }) => {
    await signIn(page, cook, '/bench');
    await page.locator('.bench-closed summary').click();
    const headspace = page.getByRole('textbox', { name: 'Headspace' });
    for (const typed of ['0,75', '0.75', '3/4']) {
      await headspace.fill(typed);
      await headspace.blur();
      await expect(headspace).toHaveValue('0,75');
    }
    await headspace.fill('plenty');
    await headspace.blur();
    await expect(page.getByRole('alert').filter({ hasText: 'plenty' })).toBeVisible();
    await expect(headspace).toHaveValue('plenty');
    await headspace.fill('2 cm');
    await expect(page.getByRole('alert').filter({ hasText: 'plenty' })).toBeHidden();
    await expect(page.locator('.bench-closed summary')).toContainText('0,8 in');
  });
});

test('a term of the trade explains itself when it is tapped', async ({ page, cook }) => {
  await signIn(page, cook, '/bench');
  await page.getByRole('button', { name: 'What is headspace?' }).click();
  await expect(page.getByRole('tooltip')).toContainText('between the brine and the lid');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'What is brine strength?' }).press('Enter');
  await expect(page.getByRole('tooltip').filter({ visible: true })).toContainText('salt');
});
