import type { Page } from '@playwright/test';
import { ulid } from 'ulid';
import { allViews } from './addresses';
import { cookOf, expect, kitchenOf, openKitchen, settled, startCarrots, test, visit, write } from './kitchen';

/*
 * Names as long as the kitchen takes them, of people, jars and what is in them: each is written where it is read, or ends
 * in dots; none runs over what stands beside it, and none makes a page wider.
 */

const WORDS =
  'Second winter sticks with caraway, bay, mustard seed and a leaf of horseradish from beside the gate, for the long table';
const ONE_WORD = 'Sauerkrautvorratsbehälterschrankschlüsselanhängerverzeichnis';

/** Texts that stand out of the box that holds them, or over another text. */
const spilt = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const found: string[] = [];
    const shown: { box: DOMRect; text: string; from: Element }[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    const isCut = (element: Element | null): boolean =>
      element !== null && (getComputedStyle(element).overflowX !== 'visible' || isCut(element.parentElement));
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const parent = node.parentElement;
      const text = (node.textContent ?? '').trim();
      if (
        text === '' ||
        !parent?.checkVisibility({ visibilityProperty: true }) ||
        parent.closest('.only-heard, [aria-hidden=true], script, style, textarea, svg, nav') !== null
      ) {
        continue;
      }
      const range = document.createRange();
      range.selectNodeContents(node);
      const holder = parent.closest('button, li, td, th, p, h1, h2, h3, a, label, section, article, div') ?? parent;
      const room = holder.getBoundingClientRect();
      for (const box of range.getClientRects()) {
        if (!isCut(parent) && (box.right > room.right + 2 || box.left < room.left - 2)) {
          found.push(`out of its box: ${text.slice(0, 60)}`);
        }
        if (!isCut(parent)) {
          shown.push({ box, text, from: parent });
        }
      }
    }
    for (const [at, one] of shown.entries()) {
      for (const other of shown.slice(at + 1)) {
        const wide = Math.min(one.box.right, other.box.right) - Math.max(one.box.left, other.box.left);
        const tall = Math.min(one.box.bottom, other.box.bottom) - Math.max(one.box.top, other.box.top);
        if (wide > 3 && tall > 5 && one.from !== other.from) {
          found.push(`one over another: ${one.text.slice(0, 40)} / ${other.text.slice(0, 40)}`);
        }
      }
    }
    return [...new Set(found)];
  });

for (const width of [390, 820, 1280]) {
  test(`names as long as they may be stay where they belong at ${String(width)}`, async ({ page }, info) => {
    test.slow();
    await openKitchen(page, cookOf(info), [
      { name: WORDS.slice(0, 60), preset: 'who_adult', restOfDietMg: 1200 },
      { name: ONE_WORD.slice(0, 60), preset: null, targetMg: 1500, restOfDietMg: 900 },
    ]);
    const kitchen = await kitchenOf(page);
    await startCarrots(page, { name: WORDS.slice(0, 120), daysAgo: 9 });
    await startCarrots(page, { name: `${ONE_WORD}${ONE_WORD}`.slice(0, 120), daysAgo: 10, jar: kitchen.jars[1]?.name });
    await startCarrots(page, { name: WORDS.slice(0, 118), daysAgo: 2, jar: kitchen.jars[0]?.name });
    await write(page, 'post', '/weeks/today/fill', { rest: false, requestKey: ulid() });
    await page.setViewportSize({ width, height: 844 });
    const wrong: string[] = [];
    for (const path of await allViews(page)) {
      await visit(page, path);
      await settled(page);
      wrong.push(...(await spilt(page)).map((one) => `${path}: ${one}`));
      if (await page.evaluate(() => document.documentElement.scrollWidth > window.innerWidth + 1)) {
        wrong.push(`${path} scrolls sideways`);
      }
    }
    expect(wrong.join('\n')).toBe('');
  });
}
