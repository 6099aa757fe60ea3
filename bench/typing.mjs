// How long it takes in the browser from a key stroke at the bench to the new numbers on the screen, against the running
// demo kitchen.
//   node bench/typing.mjs http://127.0.0.1:8470
/* global window, document, MutationObserver, requestAnimationFrame */
import { chromium } from '@playwright/test';
import { withoutNetwork } from './chromium.mjs';
import { spread } from './spread.mjs';

const url = process.argv[2] ?? 'http://127.0.0.1:8410';
const rounds = 20;

const browser = await chromium.launch(withoutNetwork);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(url);
await page.getByRole('button', { name: 'Look around the demo kitchen' }).click();
await page.getByRole('link', { name: 'Bench', exact: true }).click();
await page.getByText('spooned', { exact: true }).click();
const weight = page.getByLabel('Weight of the vegetable');
await weight.fill('62');
await page.getByTestId('jar-1').getByText('62 g').waitFor();

/** Resolves with the milliseconds from the next key stroke to the frame that shows a weight in the jar's caption. */
const shown = (text) =>
  page.evaluate((wanted) => {
    window.waited = new Promise((done) => {
      let typed = 0;
      document.addEventListener('keydown', (event) => (typed = event.timeStamp), {
        once: true,
        capture: true,
      });
      const watch = new MutationObserver(() => {
        if (document.querySelector('[data-testid="jar-1"] .soft')?.textContent.startsWith(wanted)) {
          watch.disconnect();
          requestAnimationFrame(() => setTimeout(() => done(performance.now() - typed)));
        }
      });
      watch.observe(document.body, { subtree: true, childList: true, characterData: true });
    });
  }, text);

const times = [];
await weight.focus();
await page.keyboard.press('End');
for (let round = -1; round < rounds; round++) {
  for (let digit = 0; digit < 10; digit++) {
    for (const [key, text] of [
      [String(digit), `62${digit} g`],
      ['Backspace', '62 g'],
    ]) {
      await shown(text);
      await page.keyboard.press(key);
      const time = await page.evaluate(() => window.waited);
      if (round >= 0) {
        times.push(time);
      }
    }
  }
}
console.log(`${'key stroke to new numbers, browser'.padEnd(34)} ${spread(times)}`);
await browser.close();
