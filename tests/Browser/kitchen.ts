import type { components } from '../../web/src/api/contract.gen';
import axe, { type RunOptions } from 'axe-core';
import { expect, test as base, type Page, type Request, type TestInfo } from '@playwright/test';
import { ulid } from 'ulid';

export interface Cook {
  email: string;
  password: string;
}

/** The header that proves a request comes from the page. */
export async function csrf(page: Page): Promise<Record<string, string>> {
  const cookies = await page.context().cookies();
  const token = cookies.find((cookie) => cookie.name === 'XSRF-TOKEN')?.value ?? '';
  return { 'X-XSRF-TOKEN': decodeURIComponent(token), Accept: 'application/json' };
}

/** A new kitchen for some people, its cook signed in. */
export async function openKitchen(page: Page, cook: Cook, people: Record<string, unknown>[]): Promise<void> {
  await page.request.get('/api/session');
  const answer = await page.request.post('/api/kitchens', {
    headers: await csrf(page),
    data: { ...cook, name: 'Kitchen of the test', timeZone: 'UTC', spoonSystem: 'us', people, jarCounts: [2, 4, 1] },
  });
  expect(answer.status(), await answer.text()).toBe(201);
}

/** Who cooks in a test. */
export const cookOf = (info: TestInfo): Cook => ({
  email: `${info.testId}-${String(info.retry)}-${String(Date.now())}@example.org`,
  password: 'a long enough password',
});

/** A kitchen of the test's own, its cook signed out and at the door; the page fails on any script error. */
export const test = base.extend<{ cook: Cook; scriptErrors: string[] }>({
  scriptErrors: [
    async ({ page }, use) => {
      const errors: string[] = [];
      page.on('pageerror', (error) => errors.push(error.message));
      await use(errors);
      expect(errors).toEqual([]);
    },
    { auto: true },
  ],
  cook: async ({ page }, use, info) => {
    const cook = cookOf(info);
    await openKitchen(page, cook, [
      { name: 'Ada', preset: 'who_adult', restOfDietMg: 1200 },
      { name: 'Bo', preset: null, targetMg: 1500, restOfDietMg: 900 },
    ]);
    await page.request.delete('/api/session', { headers: await csrf(page) });
    await use(cook);
  },
});

/** Signs in without the door's form, and goes into a room. */
export async function signIn(page: Page, cook: Cook, room = '/'): Promise<void> {
  const answer = await page.request.post('/api/session', { headers: await csrf(page), data: { ...cook } });
  expect(answer.ok()).toBe(true);
  await page.goto(room);
  await expect(page.getByRole('link', { name: 'Bench', exact: true })).toBeVisible();
}

/** The form of a new kitchen: the first page where nobody has one yet, a tap from the door otherwise. */
export async function openNewKitchen(page: Page): Promise<void> {
  await page.goto('/');
  const door = page.getByRole('button', { name: 'Create your kitchen' });
  await expect(door.or(page.getByRole('heading', { name: 'Which jars do you have?' }))).toBeVisible();
  if (await door.isVisible()) {
    await door.click();
  }
}

/** Signs in at the door, as a cook does. */
export async function signInByHand(page: Page, cook: Cook): Promise<void> {
  await page.goto('/');
  await page.getByLabel('E-mail').fill(cook.email);
  await page.getByLabel('Password').fill(cook.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('link', { name: 'Bench', exact: true })).toBeVisible();
}

/** Lets a page into the demo kitchen, without going anywhere. */
export async function openDemo(page: Page): Promise<void> {
  await page.request.get('/api/session');
  expect((await page.request.post('/api/session/demo', { headers: await csrf(page) })).ok()).toBe(true);
}

/** The demo kitchen, in a room of it. */
export async function enterDemo(page: Page, room = '/'): Promise<void> {
  await openDemo(page);
  await page.goto(room);
  await expect(page.getByRole('link', { name: 'Shelf', exact: true })).toBeVisible();
}

type Schemas = components['schemas'];

/** A kitchen's answer to something that is written. */
export async function write(page: Page, method: 'post' | 'put', path: string, data: unknown): Promise<unknown> {
  const answer = await page.request[method](`/api${path}`, {
    headers: { ...(await csrf(page)), 'Content-Type': 'application/json' },
    data,
  });
  expect(answer.ok(), await answer.text()).toBe(true);
  return answer.json();
}

/** The kitchen as it is now. */
export async function kitchenOf(page: Page): Promise<Schemas['Kitchen'] & Schemas['Pantry']> {
  const read = async (path: string): Promise<unknown> => (await page.request.get(`/api/${path}`)).json();

  return { ...((await read('kitchen')) as Schemas['Kitchen']), ...((await read('pantry')) as Schemas['Pantry']) };
}

/** Carrot sticks in brine, begun some days ago; in a jar, where one is named. */
export async function startCarrots(
  page: Page,
  { name, daysAgo, jar }: { name: string; daysAgo: number; jar?: string },
): Promise<Schemas['Batch']> {
  const kitchen = await kitchenOf(page);
  return (await write(page, 'post', '/batches', {
    method: 'poured_brine',
    vegetableId: kitchen.ingredients.find((one) => one.name === 'carrot')?.id,
    vegetableAmount: jar === undefined ? '500 g' : '400 g',
    shape: 'sticks',
    jarId: kitchen.jars.find((one) => one.name === jar)?.id,
    saltId: kitchen.salts.find((one) => one.name === 'pickling salt')?.id,
    saltUnit: 'grams',
    fixed: 'strength',
    strengthPercent: '3',
    strengthBasis: 'of_water',
    waterAmount: jar === undefined ? '500 g' : '',
    name,
    place: 'counter',
    startedOn: daysAgo === 0 ? null : new Date(Date.now() - daysAgo * 86_400_000).toISOString().slice(0, 10),
    requestKey: ulid(),
  })) as Schemas['Batch'];
}

const underWay = new WeakMap<Page, Map<Request, number>>();

/** What has not been answered after so many milliseconds is a file that is saved, or belongs to a page that was left. */
const FORGOTTEN = 4_000;

/** Follows what a page asks for, from now on: each with its moment. */
function follow(page: Page): Map<Request, number> {
  const known = underWay.get(page);
  if (known !== undefined) {
    return known;
  }
  const asked = new Map<Request, number>();
  page.on('request', (request) => asked.set(request, Date.now()));
  page.on('requestfinished', (request) => asked.delete(request));
  page.on('requestfailed', (request) => asked.delete(request));
  underWay.set(page, asked);
  return asked;
}

/** Until nothing has been asked for and nothing is fetched for a moment, and what stands in for it is gone. */
export async function settled(page: Page): Promise<void> {
  const asked = follow(page);
  let quiet = 0;
  await expect(async () => {
    quiet = [...asked.values()].some((at) => Date.now() - at < FORGOTTEN) ? 0 : quiet + 1;
    expect(quiet).toBeGreaterThan(2);
    expect(await page.evaluate(() => document.querySelector('.page-coming') === null)).toBe(true);
  }).toPass({ intervals: [50], timeout: 20_000 });
}

/** A room, loaded anew and standing still. */
export async function visit(page: Page, path: string): Promise<void> {
  follow(page);
  await page.goto(path);
  if (path.includes('#')) {
    // From one part of a room to another nothing is loaded.
    await page.reload();
  }
  await expect(page.getByRole('heading', { level: 1 })).not.toHaveCount(0);
  await settled(page);
}

/** The levels of WCAG 2.2 that the screens keep, with the criteria that 2.1 and 2.2 added. */
const WCAG = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

/**
 * What a machine finds that would keep someone out, each with where it stands: by all of WCAG A and AA, or by some rules; on
 * the whole page, or in parts of it.
 */
export async function barriers(page: Page, rules: string[] = [], parts: string[] = []): Promise<string[]> {
  if (await page.evaluate(() => !('axe' in window))) {
    await page.evaluate(axe.source);
  }
  const options: RunOptions = {
    runOnly: rules.length > 0 ? { type: 'rule', values: rules } : { type: 'tag', values: WCAG },
    resultTypes: ['violations'],
  };
  const found = await page.evaluate(
    async ([parts, options]) => {
      const { violations } = await window.axe.run(
        parts.length > 0 ? { include: parts.map((part) => [part]) } : document,
        JSON.parse(options) as RunOptions,
      );
      return violations.map(({ id, nodes }) => ({ id, places: nodes.map(({ html }) => html.slice(0, 200)) }));
    },
    [parts, JSON.stringify(options)] as const,
  );
  return found.flatMap(({ id, places }) => places.map((place) => `${page.url()} ${id}: ${place}`));
}

declare global {
  interface Window {
    axe: typeof axe;
  }
}

export async function choose(page: Page, field: string, option: string): Promise<void> {
  const box = page.getByRole('combobox', { name: field, exact: true });
  await box.click();
  if (await box.isEditable()) {
    await box.fill(option);
  }
  const open = page.locator('.ant-select-dropdown:not(.ant-select-dropdown-hidden) .ant-select-item-option');
  await open.filter({ hasText: option }).first().click();
}

/** What the core says to what stands on the bench now. */
export async function benchAnswer(page: Page): Promise<components['schemas']['BenchAnswer']> {
  const draft = await page.evaluate(() => localStorage.getItem('tempesal.bench'));
  const answer = await page.request.post('/api/bench', {
    headers: { ...(await csrf(page)), 'Content-Type': 'application/json' },
    data: draft ?? '',
  });
  expect(answer.ok(), await answer.text()).toBe(true);
  return (await answer.json()) as components['schemas']['BenchAnswer'];
}

/** The first number in a text, thousands and all. */
export function number(text: string | null): number {
  return Number((text ?? '').replaceAll(',', '').match(/-?\d+(\.\d+)?/)?.[0]);
}

export { expect };
