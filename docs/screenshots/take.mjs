// Takes the pictures of the main views from a running demo kitchen:
//   node docs/screenshots/take.mjs http://127.0.0.1:8410 [FOLDER] [NAME ...]
import { mkdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { chromium } from '@playwright/test';

const [url = 'http://127.0.0.1:8410', folder = fileURLToPath(new URL('.', import.meta.url)), ...only] =
  process.argv.slice(2);
const desk = { width: 1280, height: 800 };
const phone = { width: 390, height: 844 };
const theFormula = async (page) => {
  await page.getByRole('link', { name: 'Everyday kimchi' }).click();
  await page.getByTestId('formula-sodium').waitFor();
};
const firstJar = (page) => page.locator('.board-jar', { hasText: 'Caraway kraut' }).click();

const views = [
  { name: 'sign-in', size: desk, path: '/', signedOut: true },
  { name: 'today', size: desk, path: '/today' },
  {
    name: 'today-serving',
    size: desk,
    path: '/today',
    act: (page) => page.getByRole('button', { name: 'Marit eats' }).click(),
  },
  { name: 'today-phone', size: phone, path: '/today' },
  { name: 'shelf', size: desk, path: '/shelf' },
  { name: 'batch', size: desk, path: '/shelf', act: firstJar },
  { name: 'bench', size: desk, path: '/bench' },
  { name: 'bench-phone', size: phone, path: '/bench' },
  { name: 'formulas', size: desk, path: '/formulas' },
  { name: 'formulas-phone', size: phone, path: '/formulas' },
  { name: 'formula', size: desk, path: '/formulas', act: theFormula },
  { name: 'formula-phone', size: phone, path: '/formulas', act: theFormula },
  {
    name: 'formula-editor',
    size: desk,
    path: '/formulas',
    act: async (page) => {
      await theFormula(page);
      await page.getByRole('button', { name: 'Change', exact: true }).click();
      await page.getByLabel('In a line').waitFor();
    },
  },
  { name: 'kitchen', size: desk, path: '/kitchen' },
  { name: 'kitchen-salts', size: desk, path: '/kitchen#salts' },
  { name: 'kitchen-jars', size: desk, path: '/kitchen#jars' },
  { name: 'kitchen-phone', size: phone, path: '/kitchen' },
];

mkdirSync(folder, { recursive: true });
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});
for (const view of views.filter(({ name }) => only.length === 0 || only.includes(name))) {
  const context = await browser.newContext({ viewport: view.size });
  const page = await context.newPage();
  page.on('pageerror', (error) => console.error(view.name, error.message));
  await page.goto(url);
  if (!view.signedOut) {
    await page.getByRole('button', { name: 'Look around the demo kitchen' }).click();
    await page.getByRole('link', { name: 'Today' }).waitFor();
    await page.goto(url + view.path);
  }
  await page.waitForLoadState('networkidle');
  await view.act?.(page);
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(400);
  await page.screenshot({ path: `${folder}/${view.name}.png` });
  await context.close();
}
await browser.close();
