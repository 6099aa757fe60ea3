import { addressOf, allViews, views, viewsOfOne } from './addresses';
import { barriers, expect, openDemo, test, visit } from './kitchen';

/*
 * Each view as all of them have to be: read by a machine that looks for barriers, in each scheme, at each width, on a phone and
 * on paper.
 */
for (const view of [...views, ...viewsOfOne]) {
  test(`${view} can be read by everybody, at any width, in any light and on paper`, async ({ page }) => {
    test.slow();
    await openDemo(page);
    await visit(page, await addressOf(page, view));
    const found = await barriers(page);
    await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);

    await page.emulateMedia({ colorScheme: 'dark' });
    found.push(...(await barriers(page, ['color-contrast', 'link-in-text-block'])).map((one) => `dark: ${one}`));
    await page.emulateMedia({ colorScheme: 'light', forcedColors: 'active' });
    await page.setViewportSize({ width: 320, height: 640 });
    await page.waitForTimeout(200);
    found.push(...(await barriers(page, ['color-contrast', 'target-size'])).map((one) => `at 320, forced: ${one}`));
    await page.emulateMedia({ forcedColors: 'none' });
    expect(found).toEqual([]);

    for (const width of [320, 390, 820, 1024, 1920]) {
      await page.setViewportSize({ width, height: 844 });
      // Drawings follow the width in a moment.
      await expect
        .poll(() => page.evaluate(() => document.documentElement.scrollWidth), {
          message: `sideways at ${String(width)}`,
        })
        .toBeLessThanOrEqual(width);
      if (width === 390) {
        const small = await page
          .locator('main button:visible, nav a:visible')
          .evaluateAll((targets) =>
            targets
              .filter((target) => target.getBoundingClientRect().height < 43.5)
              .map((target) => target.ariaLabel ?? target.textContent),
          );
        expect(small).toEqual([]);
      }
    }

    if (view.startsWith('/counter')) {
      // It stands upright at the counter, and is never printed.
      return;
    }
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.emulateMedia({ media: 'print' });
    await expect(page.getByRole('navigation', { name: 'Main pages' })).toBeHidden();
    const pressed = page.locator('.ant-btn:visible, .ant-segmented:visible, .ant-select:visible, .as-button:visible');
    expect(await pressed.evaluateAll((all) => all.map((one) => one.outerHTML.slice(0, 120)))).toEqual([]);
    expect((await page.locator('main').innerText()).length).toBeGreaterThan(20);
  });
}

test('every page has a title of its own, and what shows a jar or a formula names it', async ({ page }) => {
  test.slow();
  await openDemo(page);
  const titles = new Map<string, string>();
  for (const path of await allViews(page)) {
    const [address = ''] = path.split('#');
    if (!titles.has(address)) {
      await visit(page, address);
      await expect(page, path).toHaveTitle(/^.+ · Tempesal$/);
      titles.set(address, await page.title());
    }
  }
  expect(new Set(titles.values()).size).toBeGreaterThan(15);
});
