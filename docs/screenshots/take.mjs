// Takes the pictures of the main views from a running demo kitchen:
//   node docs/screenshots/take.mjs http://127.0.0.1:8410 [FOLDER] [NAME ...]
import { mkdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { chromium } from '@playwright/test';
import { ulid } from 'ulid';
import { withoutNetwork } from '../../bench/chromium.mjs';

const [url = 'http://127.0.0.1:8410', folder = fileURLToPath(new URL('.', import.meta.url)), ...only] =
  process.argv.slice(2);
const desk = { width: 1280, height: 800 };
const phone = { width: 390, height: 844 };
const theFormula = async (page) => {
  await page.getByRole('link', { name: 'Everyday kimchi' }).click();
  await page.getByTestId('formula-sodium').waitFor();
};
const firstJar = async (page) => {
  await page.locator('.board-jar', { hasText: 'Caraway kraut' }).click();
  await page.getByRole('img', { name: /Sodium per 100 g over time/ }).waitFor();
};

const logOfFirstJar = async (page) => {
  await firstJar(page);
  await page.getByRole('link', { name: 'Log', exact: true }).click();
  await page.getByRole('region', { name: 'Compared with similar batches' }).waitFor();
};

/** A jar with a white film, looked into. */
const checkOfTheMash = async (page) => {
  await page.locator('.board-jar', { hasText: 'Red chilli mash' }).click();
  await page.getByRole('link', { name: 'Check the jar' }).click();
  for (const sign of [
    'A flat white film, smooth or wrinkled',
    'As it was, or a little duller',
    'Flat and quiet',
    'Some, when I tap it',
    'Sour, fresh, garlicky',
    'As smooth or coarse as it was made',
  ]) {
    await page.getByLabel(sign, { exact: true }).check();
  }
  await page.getByText('Skim it off', { exact: false }).waitFor();
  await page.mouse.wheel(0, -9999);
};

/** A soaked kimchi for two jars, spooned, with the scale beside it. */
const kimchiOnTheBench = async (page) => {
  const kitchen = await (await page.request.get(`${url}/api/kitchen`)).json();
  const { ingredients } = await (await page.request.get(`${url}/api/pantry`)).json();
  const food = (key) => ingredients.find((one) => one.key === key).id;
  const quart = kitchen.jars.find((one) => one.name === 'Quart jar').id;
  await page.evaluate((draft) => localStorage.setItem('tempesal.bench', JSON.stringify(draft)), {
    method: 'kimchi_soaked',
    vegetableId: food('napa-cabbage'),
    vegetableAmount: '1 kg',
    shape: 'shreds',
    jarId: quart,
    moreJarIds: [quart],
    headspaceMm: 50,
    saltUnit: 'spoons',
    strengthPercent: '6.5',
    strengthBasis: 'of_water',
    waterAmount: '1 l',
    paste: [
      { foodId: food('fish-sauce'), amount: '1 1/2 tbsp' },
      { foodId: food('red-chilli'), amount: '40 g' },
    ],
  });
  await page.reload();
  await page.getByTestId('jar-2').waitFor();
};

/** A kimchi that is salted at the counter. */
const kimchiAtTheCounter = async (page) => {
  await page.getByRole('link', { name: 'Everyday kimchi' }).click();
  await page.waitForURL(/formulas\/\w+/);
  const token = (await page.context().cookies()).find(({ name }) => name === 'XSRF-TOKEN')?.value ?? '';
  const answer = await page.request.post(`${url}/api${new URL(page.url()).pathname}/batches`, {
    headers: { 'X-XSRF-TOKEN': decodeURIComponent(token), Accept: 'application/json' },
    data: {
      by: 'as_written',
      intoJarId: null,
      name: 'Everyday kimchi',
      place: 'counter',
      begin: 'counter',
      requestKey: ulid(),
    },
  });
  await page.goto(`${url}/counter/${(await answer.json()).id}`);
  await page.getByRole('button', { name: 'Done' }).click();
  await page.getByRole('heading', { name: 'Salt', exact: true }).waitFor();
};

const views = [
  { name: 'today', size: desk, path: '/today' },
  { name: 'today-phone', size: phone, path: '/today' },
  { name: 'week', size: desk, path: '/week' },
  { name: 'week-phone', size: phone, path: '/week' },
  { name: 'ahead', size: desk, path: '/shelf/ahead' },
  { name: 'intake', size: desk, path: '/today/intake' },
  {
    name: 'report',
    size: desk,
    path: '/today/intake',
    act: async (page) => {
      await page.getByRole('link', { name: 'Report' }).click();
      await page.getByText('How this is calculated').waitFor();
    },
  },
  { name: 'shelf', size: desk, path: '/shelf' },
  { name: 'counter', size: desk, path: '/formulas', act: kimchiAtTheCounter },
  { name: 'batch', size: desk, path: '/shelf', act: firstJar },
  { name: 'bench', size: desk, path: '/bench', act: kimchiOnTheBench },
  { name: 'formulas', size: desk, path: '/formulas' },
  { name: 'formula', size: desk, path: '/formulas', act: theFormula },
  { name: 'check', size: desk, path: '/shelf', act: checkOfTheMash },
  { name: 'log', size: desk, path: '/shelf', act: logOfFirstJar },
  { name: 'practice', size: desk, path: '/practice' },
  { name: 'rooms', size: desk, path: '/kitchen#rooms' },
  { name: 'kitchen', size: desk, path: '/kitchen' },
  { name: 'labels', size: desk, path: '/labels' },
];

mkdirSync(folder, { recursive: true });
const browser = await chromium.launch(withoutNetwork);
for (const view of views.filter(({ name }) => only.length === 0 || only.includes(name))) {
  const context = await browser.newContext({ viewport: view.size });
  const page = await context.newPage();
  page.on('pageerror', (error) => console.error(view.name, error.message));
  await page.goto(url);
  await page.getByRole('button', { name: 'Look around the demo kitchen' }).click();
  await page.getByRole('link', { name: 'Today' }).waitFor();
  await page.goto(url + view.path);
  await page.waitForLoadState('networkidle');
  await view.act?.(page);
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(400);
  await page.screenshot({ path: `${folder}/${view.name}.png` });
  await context.close();
}
await browser.close();
