import { expect, signIn, test } from './kitchen';

test.describe('in a country that writes 1,5', () => {
  test.use({ locale: 'de-DE' });

  test('takes a comma or a point, writes a comma, and names what is no number', async ({ page, cook }) => {
    await signIn(page, cook, '/bench');
    const headspace = page.getByRole('spinbutton', { name: 'Headspace' });
    for (const typed of ['22,5', '22.5', '22 1/2']) {
      await headspace.fill(typed);
      await headspace.blur();
      await expect(headspace).toHaveValue('22,5');
    }
    await headspace.fill('a thumb');
    await headspace.blur();
    await expect(page.getByRole('alert').filter({ hasText: 'a thumb' })).toHaveText(
      '“a thumb” is not a number. It is still 22,5.',
    );
    await expect(headspace).toHaveValue('22,5');
    await headspace.fill('25');
    await expect(page.getByRole('alert').filter({ hasText: 'a thumb' })).toBeHidden();
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
