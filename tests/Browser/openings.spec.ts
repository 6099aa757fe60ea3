import type { Page, Request } from '@playwright/test';
import { addressOf, views, viewsOfOne } from './addresses';
import { expect, openDemo, settled, test, visit } from './kitchen';
import { found, inOtherLooks, OPEN } from './opened';

/** What only computes; everything else that is sent is refused here, so that the kitchen stays as it is. */
const COMPUTES = /\/(bench|amounts|preview|read|compute|session)\b/;

/** An answer that finds fault with each part of what was sent. */
function refusalOf(request: Request): object {
  const sent = (request.postData() ?? '').startsWith('{') ? (request.postDataJSON() as Record<string, unknown>) : {};
  const why = { code: 'errors.required', values: {} };

  return { message: why, errors: Object.fromEntries(Object.keys(sent).map((field) => [field, [why]])) };
}

/** The buttons of a part of a page, numbered; of those that do the same to different things the first and the last. */
const numberButtons = (page: Page, part: string): Promise<number> =>
  page.evaluate((part) => {
    const shown = [...document.querySelectorAll<HTMLButtonElement>('button:not(:disabled)')].filter(
      (button) => button.closest(part) !== null && button.getClientRects().length > 0,
    );
    const kindOf = (button: HTMLButtonElement) => {
      const own = [...button.classList].find((name) => !/^(ant|css|is)-/.test(name));
      return own ?? (button.ariaLabel ?? button.textContent).trim().split(' ')[0];
    };
    const buttons = shown.filter((button) => {
      const alike = shown.filter((other) => kindOf(other) === kindOf(button));
      return alike[0] === button || alike.at(-1) === button;
    });
    for (const [at, button] of buttons.entries()) {
      button.dataset.number = String(at);
    }
    return buttons.length;
  }, part);

for (const [at, view] of [...views, ...viewsOfOne].entries()) {
  if (view === '/today/:date' || view === '/week/:date') {
    // The same page as the one without a day.
    continue;
  }
  test(`what opens on ${view} can be read, used and left, and gives the focus back`, async ({ page }) => {
    test.slow();
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await openDemo(page);
    const path = await addressOf(page, view);
    await page.route('**/api/**', (route) =>
      route.request().method() === 'GET' || COMPUTES.test(new URL(route.request().url()).pathname)
        ? route.continue()
        : route.fulfill({ status: 422, json: refusalOf(route.request()) }),
    );
    const begin = async () => {
      await visit(page, path);
      // The board is the same everywhere.
      return numberButtons(page, at === 0 ? 'main, .frame-head' : 'main');
    };
    const count = await begin();
    const home = page.url();
    const wrong: string[] = [];
    for (let number = 0; number < count; number += 1) {
      const button = page.locator(`[data-number="${String(number)}"]`);
      if ((await button.count()) === 0 || !(await button.isEnabled())) {
        continue;
      }
      const name = await button.evaluate((one) => one.ariaLabel ?? one.textContent.trim());
      await button.focus();
      await page.keyboard.press('Enter');
      // What is fetched when it is first opened comes in a moment.
      await settled(page);
      if (
        page.url().split('?')[0] !== home.split('?')[0] ||
        (await page.getByRole('link', { name: 'Bench' }).count()) === 0
      ) {
        await begin();
        continue;
      }
      const open = page.locator(OPEN.join(', '));
      if ((await open.count()) === 0) {
        // What was fetched may open in a moment.
        await page.waitForTimeout(300);
        await settled(page);
      }
      if ((await open.count()) === 0) {
        continue;
      }
      const says = (what: string[]) => wrong.push(...what.map((one) => `${name}: ${one}`));
      says(await found(page, 'light'));
      const send = open.locator('.ant-btn-primary:enabled').last();
      if ((await send.count()) > 0) {
        // What is sent is refused for everything in it.
        await send.click();
        await settled(page);
        if ((await open.count()) === 0) {
          await begin();
          continue;
        }
        says(await found(page, 'refused'));
        const invalid = open.locator('[aria-invalid=true]');
        if ((await invalid.count()) > 0) {
          await expect(invalid.first(), `${name}: what is wrong first has the focus`).toBeFocused();
        }
      }
      says(await inOtherLooks(page));
      await page.keyboard.press('Escape');
      await expect(open, `${name} closes with Escape`).toHaveCount(0);
      await expect(button, `${name} has the focus again`).toBeFocused();
    }
    expect(wrong).toEqual([]);
  });
}
