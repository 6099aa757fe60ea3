import { expect, signIn, startCarrots, test } from './kitchen';

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

test.describe('on a device whose clock is elsewhere', () => {
  // A day ahead of the kitchen's most of the time.
  test.use({ timezoneId: 'Pacific/Kiritimati' });

  test('moments are told by the clock of the kitchen', async ({ page, cook }) => {
    await signIn(page, cook);
    const batch = await startCarrots(page, { name: 'Sticks', daysAgo: 0 });
    await page.goto(`/shelf/${batch.id}`);
    const first = page.getByRole('list', { name: 'So far' }).getByRole('listitem').first();
    await expect(first).toContainText(/\d\d:\d\d/);
    const [, hours, minutes] = /(\d\d):(\d\d)/.exec(await first.innerText()) ?? [];
    const now = new Date();
    const since = now.getUTCHours() * 60 + now.getUTCMinutes() - (Number(hours) * 60 + Number(minutes));
    expect((since + 1440) % 1440).toBeLessThan(10);
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
