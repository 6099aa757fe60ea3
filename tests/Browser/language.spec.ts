import { readFileSync } from 'node:fs';
import { expect, test, type Page, type Request } from '@playwright/test';
import { allViews } from './addresses';
import { openDemo, settled, visit } from './kitchen';

/*
 * The whole application in a made-up language (tests/Language/made-up.mjs): its letters carry accents, so that a plain
 * word on the screen is either what somebody in the kitchen wrote or a word that is not from the catalogue. It is a
 * third longer than English, so that a row that is too narrow for German or Finnish breaks here first.
 */

/**
 * Fields of the API in which people write their own words; any other text comes as a code. A list of allergens is
 * repeated by its ids in what the component library keeps for readers of the screen, so that those are let through.
 */
const OWN_WORDS = new Set([
  ...['name', 'names', 'jar', 'jarName', 'batch', 'batchName', 'person', 'kitchen', 'email', 'timeZone'],
  ...['note', 'notes', 'text', 'dislikes', 'also', 'allergens'],
]);

/** What a browser writes by itself: days and months, and the units that have no other name. */
const WRITTEN_BY_RULE =
  'Mon Tue Wed Thu Fri Sat Sun Monday Tuesday Wednesday Thursday Friday Saturday Sunday ' +
  'Jan Feb Mar Apr May Jun Jul Aug Sep Sept Oct Nov Dec English American British January February March April June July August September October ' +
  'November December CSV PDF JSON SVG PNG UTC';

/**
 * The name of the application, and what the component library says of an arrow or a cross in a field, which no property
 * changes.
 */
const SAID_ANYWAY = new Set(['Tempesal', 'Increase Value', 'Decrease Value', 'Clear']);

function words(of: unknown, isOwn: boolean, into: Set<string>): void {
  if (typeof of === 'string') {
    if (isOwn) {
      of.match(/[A-Za-z]+/g)?.forEach((word) => into.add(word.toLowerCase()));
    }
  } else if (Array.isArray(of)) {
    of.forEach((one) => words(one, isOwn, into));
  } else if (of !== null && typeof of === 'object') {
    const isMessage = 'code' in of && 'values' in of;
    for (const [key, value] of Object.entries(of)) {
      // The names of the jars that a kitchen begins with are its own from then on.
      const isOfJars = key === 'jars' && Array.isArray(value) && typeof value[0] === 'string';
      const isNamed = OWN_WORDS.has(key) || isOfJars || (isOwn && key !== 'id');
      words(value, isMessage ? key === 'values' || isOwn : isNamed, into);
    }
  }
}

/** Collects what people wrote, from all that the API answers from now on. */
function ownWords(page: Page): Set<string> {
  const known = new Set(WRITTEN_BY_RULE.toLowerCase().split(' '));
  page.on('response', (response) => {
    if (response.url().includes('/api/') && response.headers()['content-type']?.includes('json')) {
      void response.json().then(
        (answer) => words(answer, false, known),
        () => undefined,
      );
    }
  });

  return known;
}

/** Every text that is seen or read out: as it stands, with where it stands. */
async function texts(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const found: string[] = [];
    const isSeen = (element: Element) =>
      element.checkVisibility({ visibilityProperty: true }) &&
      element.closest('[aria-hidden=true], code, textarea, .anticon') === null;
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const parent = node.parentElement;
      // The list beside a choice is for readers of the screen, who hear its labels; what is seen is drawn anew.
      if (
        parent &&
        !['SCRIPT', 'STYLE', 'TEXTAREA'].includes(parent.tagName) &&
        parent.closest('[role=listbox]') === null &&
        isSeen(parent)
      ) {
        found.push(node.textContent ?? '');
      }
    }
    for (const element of document.querySelectorAll('[aria-label], [title], [alt], [placeholder], [aria-valuetext]')) {
      if (isSeen(element)) {
        for (const name of ['aria-label', 'title', 'alt', 'placeholder', 'aria-valuetext']) {
          found.push(element.getAttribute(name) ?? '');
        }
      }
    }
    found.push(document.title);

    return found;
  });
}

async function strangers(page: Page, known: Set<string>): Promise<string[]> {
  const found = (await texts(page)).filter(
    (text) =>
      !SAID_ANYWAY.has(text.trim()) &&
      (text.normalize('NFC').match(/(?<![\p{L}\d.@])[A-Za-z]{3,}(?![\p{L}@])/gu) ?? []).some(
        (word) => !known.has(word.toLowerCase()),
      ),
  );

  return [...new Set(found)];
}

/** Looks at what is on the screen now, on a phone and at a table; a pixel is what rounding can make of it. */
async function look(page: Page, where: string, known: Set<string>, found: string[]): Promise<void> {
  for (const width of [390, 1280]) {
    await page.setViewportSize({ width, height: 844 });
    await page.waitForTimeout(100);
    let strange = await strangers(page, known);
    if (strange.length > 0) {
      // An answer may be on the screen a moment before its words are read here.
      await page.waitForTimeout(1_000);
      strange = await strangers(page, known);
    }
    found.push(...strange.map((text) => `${where} at ${String(width)}: not from the catalogue: ${text}`));
    // Two sentences that run into each other, or into a word.
    const seen = await page.locator('body').innerText();
    for (const [glued] of seen.matchAll(/.{0,30}(?:[\p{L}\d%⟧]⟦|⟧[\p{L}\d]).{0,30}/gu)) {
      found.push(`${where} at ${String(width)}: no space between: ${glued}`);
    }
    if (await page.evaluate(() => document.documentElement.scrollWidth > window.innerWidth + 1)) {
      found.push(`${where} at ${String(width)}: scrolls sideways`);
    }
  }
}

/** Whether a request writes: such a one carries a key. */
const isChange = (request: Request): boolean =>
  request.headers()['idempotency-key'] !== undefined || (request.postData() ?? '').includes('requestKey');

async function arrive(page: Page, path: string): Promise<void> {
  await page.goto('about:blank');
  await visit(page, path);
}

const { new_kitchen: newKitchen } = JSON.parse(readFileSync('messages/en-XA/sign_in.json', 'utf8')) as Record<
  string,
  string
>;

test.beforeEach(async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('tempesal.language', 'en-XA'));
});

for (const half of [0, 1]) {
  test(`every room and every dialog speaks from the catalogue, and holds a longer language, ${String(half + 1)} of 2`, async ({
    page,
  }) => {
    test.setTimeout(600_000);
    // Every button is pressed, in the kitchen of the demo, which others read: only what computes is let through.
    await page.route('**/api/**', (route) =>
      route.request().method() === 'GET' || (route.request().method() === 'POST' && !isChange(route.request()))
        ? route.continue()
        : route.fulfill({ status: 503, body: '' }),
    );
    const known = ownWords(page);
    const found: string[] = [];
    const seen = new Set<string>();
    await visit(page, '/sign-in');
    await look(page, '/sign-in', known, found);
    const door = page.getByRole('button', { name: newKitchen });
    if (await door.isVisible()) {
      // Where nobody has a kitchen yet, its form is the first page.
      await door.click();
      await settled(page);
      await look(page, '/sign-in, a new kitchen', known, found);
    }
    await openDemo(page);
    for (const path of (await allViews(page)).filter((_, place) => place % 2 === half)) {
      await arrive(page, path);
      await look(page, path, known, found);
      const buttons = page.locator('main button:visible:enabled');
      const names = await buttons.evaluateAll((all) => all.map((one) => one.ariaLabel ?? one.textContent));
      for (const [place, name] of names.entries()) {
        // One of each kind: a list of thirty jars has thirty buttons that open the same drawer, and so have two rooms.
        const kind = name.replace(/[^⟦⟧ẋ\u00c0-\u024f]+/g, ' ').slice(0, 24);
        if (seen.has(kind)) {
          continue;
        }
        seen.add(kind);
        const clicked = await buttons
          .nth(place)
          .click({ timeout: 800 })
          .then(
            () => true,
            () => false,
          );
        if (!clicked) {
          continue;
        }
        await settled(page);
        const dialog = page.locator('[role=dialog]:visible, [role=menu]:visible, .ant-popover:visible').first();
        if (await dialog.isVisible()) {
          await look(page, `${path} · ${name}`, known, found);
          await page.keyboard.press('Escape');
          await expect(dialog)
            .toBeHidden({ timeout: 1_000 })
            .catch(() => undefined);
        }
        if (new URL(page.url()).pathname !== path.split('#')[0] || (await dialog.isVisible())) {
          await arrive(page, path);
        }
      }
    }
    expect([...new Set(found)].join('\n')).toBe('');
  });
}
