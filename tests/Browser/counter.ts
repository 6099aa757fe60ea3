import type { Page } from '@playwright/test';
import { ulid } from 'ulid';
import type { components } from '../../web/src/api/contract.gen';
import { expect, kitchenOf, signIn, write, type Cook } from './kitchen';

/*
 * What the journeys at the counter have in common: a jar begun there, its steps done by hand or some hours ago.
 */

export type Schemas = components['schemas'];
export type Steps = Schemas['Steps'];

export const PHONE = { width: 390, height: 844 };
export const TABLET = { width: 820, height: 1180 };

export const hoursAgo = (hours: number): string => new Date(Date.now() - hours * 3_600_000).toISOString();

/** What stands on the bench; foods by their keys. */
export interface Bench {
  food: string;
  name: string;
  paste?: string[][];
  alongside?: string[][];
  [field: string]: unknown;
}

export async function begin(page: Page, bench: Bench): Promise<string> {
  const kitchen = await kitchenOf(page);
  const of = (key: string | undefined) => kitchen.ingredients.find((one) => one.key === key)?.id;
  const { food, paste, alongside, ...rest } = bench;
  const parts = (list: string[][] | undefined) => (list ?? []).map(([key, amount]) => ({ foodId: of(key), amount }));
  const batch = (await write(page, 'post', '/batches', {
    vegetableId: of(food),
    shape: kitchen.ingredients.find((one) => one.key === food)?.shape,
    saltId: kitchen.salts.find((one) => one.name === 'pickling salt')?.id,
    saltUnit: 'grams',
    fixed: 'salt',
    strengthBasis: 'of_vegetable',
    jarId: null,
    place: 'counter',
    begin: 'counter',
    paste: parts(paste),
    alongside: parts(alongside),
    requestKey: ulid(),
    ...rest,
  })) as Schemas['Batch'];
  return batch.id;
}

export const stepsOf = async (page: Page, batch: string): Promise<Steps> =>
  (await (await page.request.get(`/api/batches/${batch}/steps`)).json()) as Steps;

/** A step was done some hours ago. */
export async function done(page: Page, batch: string, kind: string, hours: number): Promise<void> {
  const step = (await stepsOf(page, batch)).steps.find((one) => one.kind === kind);
  await write(page, 'post', `/batches/${batch}/steps/${step?.id ?? ''}/done`, {
    at: hoursAgo(hours),
    requestKey: ulid(),
  });
}

/** Goes to the counter, and does steps until one of them is to be done. */
export async function atTheCounter(page: Page, batch: string): Promise<void> {
  await page.goto(`/counter/${batch}`);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
}

export async function press(page: Page, heading: string): Promise<void> {
  await expect(page.getByRole('heading', { level: 1, name: heading })).toBeVisible();
  await page.getByRole('button', { name: /^Done$| now$/ }).click();
}

export async function inView(page: Page): Promise<void> {
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(wide).toBeLessThanOrEqual(0);
}

export const kimchi = {
  method: 'kimchi_soaked',
  food: 'napa-cabbage',
  vegetableAmount: '900 g',
  waterAmount: '1800 g',
  saltAmount: '120 g',
  saltingMinutes: 1200,
  paste: [
    ['fish-sauce', '30 g'],
    ['white-radish', '200 g'],
  ],
};

export async function ready(page: Page, cook: Cook, size: { width: number; height: number }): Promise<void> {
  await page.setViewportSize(size);
  await signIn(page, cook);
}
