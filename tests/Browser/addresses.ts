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

/** The list of the kitchen in which something is that an address names. */
const LISTS: Record<string, [string, string]> = {
  batchId: ['/batches', 'batches'],
  formulaId: ['/formulas', 'formulas'],
  personId: ['/kitchen', 'people'],
};

/** The address of a view; of one thing with the first that the kitchen has, of a day with today. */
export async function addressOf(page: Page, view: string): Promise<string> {
  const named = /:(\w+)/.exec(view)?.[1];
  if (named === undefined) {
    return view;
  }
  const [path, list] = LISTS[named] ?? [];
  const first =
    path === undefined || list === undefined
      ? new Date().toISOString().slice(0, 10)
      : ((await (await page.request.get(`/api${path}`)).json()) as Record<string, { id: string }[]>)[list]?.[0]?.id;

  return view.replace(`:${named}`, first ?? '');
}

/** The addresses of all views. */
export const allViews = async (page: Page): Promise<string[]> =>
  Promise.all([...views, ...viewsOfOne].map((view) => addressOf(page, view)));
