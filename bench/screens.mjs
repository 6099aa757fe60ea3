// How soon Today is there on a slow device, and how soon the screen answers to typing, tapping and dragging, against the
// running demo kitchen. The processor is slowed down, fourfold where nothing else is said; nothing that is kept from before is used.
//   node bench/screens.mjs http://127.0.0.1:8470 [how many times slower]
/* global window */
import { chromium } from '@playwright/test';
import { withoutNetwork } from './chromium.mjs';
import { spread } from './spread.mjs';

const url = process.argv[2] ?? 'http://127.0.0.1:8410';
const ROUNDS = 7;
const SLOWER = Number(process.argv[3] ?? 4);

const browser = await chromium.launch(withoutNetwork);
const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
const door = await context.newPage();
await door.goto(url);
await door.getByRole('button', { name: 'Look around the demo kitchen' }).click();
await door.getByRole('heading', { level: 1 }).waitFor();

/** A page on a slow device, which notes its largest paint and how long each press took to its next paint. */
async function slowPage() {
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  await session.send('Network.setCacheDisabled', { cacheDisabled: true });
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  await page.addInitScript(() => {
    window.presses = [];
    new PerformanceObserver((list) => {
      window.largest = list.getEntries().at(-1).startTime;
    }).observe({ type: 'largest-contentful-paint', buffered: true });
    new PerformanceObserver((list) => {
      window.presses.push(
        ...list
          .getEntries()
          .filter((one) => one.interactionId > 0)
          .map((one) => one.duration),
      );
    }).observe({ type: 'event', durationThreshold: 16, buffered: true });
  });
  return page;
}

const paints = [];
for (let round = 0; round < ROUNDS; round++) {
  const page = await slowPage();
  await page.goto(`${url}/today`);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await page.waitForLoadState('networkidle');
  paints.push(await page.evaluate(() => window.largest));
  await page.close();
}
console.log(`${'largest paint of Today'.padEnd(34)} ${spread(paints)}`);

/** Does something many times and says how long each press took to its next paint. */
async function measure(says, path, prepare, press) {
  const page = await slowPage();
  await page.goto(`${url}${path}`);
  await page.waitForLoadState('networkidle');
  const thing = await prepare(page);
  await page.waitForTimeout(500);
  await page.evaluate(() => (window.presses = []));
  for (let time = 0; time < 24; time++) {
    await press(page, thing, time);
    await page.waitForTimeout(250);
  }
  await page.waitForTimeout(800);
  const presses = await page.evaluate(() => window.presses);
  // What took less than a frame is not reported, and counts as one.
  const all = [...presses, ...Array.from({ length: Math.max(0, 24 - presses.length) }, () => 16)];
  console.log(`${says.padEnd(34)} ${spread(all)} (${presses.length} noted)`);
  await page.close();
}

await measure(
  'typing a weight, to the next paint',
  '/bench',
  async (page) => {
    const weight = page.getByLabel('Weight of the vegetable');
    await weight.fill('6');
    await weight.focus();
    return weight;
  },
  (page, _, time) => page.keyboard.press(time % 4 === 3 ? 'Backspace' : String(time % 10)),
);
await measure(
  'unfolding who eats what, by a tap',
  '/today',
  (page) => page.getByRole('button', { name: / eats/ }).first(),
  (_, button) => button.click(),
);
await measure(
  'moving a serving in the week',
  '/week',
  async (page) => {
    const card = page.locator('.serving-card:not(:disabled)').last();
    await card.scrollIntoViewIfNeeded();
    return (await card.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
  },
  async (page, { x, y, width, height }, time) => {
    await page.mouse.move(x + width / 2, y + height / 2);
    await page.mouse.down();
    await page.mouse.move(x + width / 2 - 30 - (time % 3), y + height / 2, { steps: 4 });
    await page.keyboard.press('Escape');
    await page.mouse.up();
  },
);
await browser.close();
