import type { Page } from '@playwright/test';

/** Every view that can be visited without naming a jar, a formula or a day. */
export const views = [
  '/today',
  '/today/intake',
  '/week',
  '/shelf',
  '/shelf/ahead',
  '/bench',
  '/formulas',
  '/formulas/import',
  '/formulas/new',
  '/kitchen',
  '/kitchen#salts',
  '/kitchen#jars',
  '/kitchen#foods',
  '/kitchen#rooms',
  '/kitchen#house',
  '/kitchen#sharing',
  '/account',
  '/practice',
  '/labels',
];

/** Views of one thing, as their routes write them. */
export const viewsOfOne = [
  '/today/:date',
  '/today/intake/report/:personId',
  '/week/:date',
  '/week/:date/sheet',
  '/shelf/:batchId',
  '/shelf/:batchId/log',
  '/shelf/:batchId/check',
  '/counter/:batchId',
  '/formulas/:formulaId',
  '/formulas/:formulaId/edit',
];

/** All views, each of one thing with the first that the kitchen has. */
export async function allViews(page: Page): Promise<string[]> {
  const first = async (path: string, list: string) =>
    ((await (await page.request.get(`/api${path}`)).json()) as Record<string, { id: string }[]>)[list]?.[0]?.id ?? '';
  const of: Record<string, string> = {
    date: new Date().toISOString().slice(0, 10),
    batchId: await first('/batches', 'batches'),
    formulaId: await first('/formulas', 'formulas'),
    personId: await first('/kitchen', 'people'),
  };

  return [...views, ...viewsOfOne.map((path) => path.replace(/:(\w+)/, (_, name: string) => of[name] ?? ''))];
}
