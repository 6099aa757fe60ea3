import type { Locator, Page } from '@playwright/test';
import { barriers } from './kitchen';

/** What is over the page: a drawer, a dialog, a menu, what a word means. */
export const OPEN = [
  '.ant-drawer-open',
  '.ant-modal-wrap:not([style*="display: none"])',
  '.ant-dropdown:not(.ant-dropdown-hidden)',
  '.ant-popover:not(.ant-popover-hidden)',
];

const schemes = {
  dark: { colorScheme: 'dark' },
  'forced colours': { colorScheme: 'light', forcedColors: 'active' },
} as const;

/** What keeps someone out of what is open; what is not there any more a moment later was a colour on its way. */
export async function found(page: Page, scheme: string, rules: string[] = []): Promise<string[]> {
  let wrong = await barriers(page, rules, OPEN);
  if (wrong.length > 0) {
    await page.waitForTimeout(500);
    wrong = await barriers(page, rules, OPEN);
  }
  return wrong.map((one) => `${scheme} ${one}`);
}

/** Whether all of something that is open can be reached without scrolling sideways. */
const isWithin = (open: Locator): Promise<boolean> =>
  open.first().evaluate((element) =>
    [element, ...element.querySelectorAll('.ant-drawer-body, .ant-modal-container, .ant-popover-container')].every(
      (part) => {
        const { left, right } = part.getBoundingClientRect();
        return part.scrollWidth <= part.clientWidth + 1 && left >= -1 && right <= window.innerWidth + 1;
      },
    ),
  );

/** What keeps someone out of what is open in the dark, in forced colours and on a narrow screen. */
export async function inOtherLooks(page: Page): Promise<string[]> {
  const wrong: string[] = [];
  for (const [scheme, media] of Object.entries(schemes)) {
    await page.emulateMedia(media);
    wrong.push(...(await found(page, scheme, ['color-contrast'])));
  }
  await page.emulateMedia({ forcedColors: 'none', colorScheme: 'light' });
  const size = page.viewportSize();
  await page.setViewportSize({ width: 320, height: 640 });
  await page.waitForTimeout(100);
  if (!(await isWithin(page.locator(OPEN.join(', '))))) {
    wrong.push('scrolls sideways at 320');
  }
  wrong.push(...(await found(page, 'at 320', ['target-size', 'scrollable-region-focusable'])));
  if (size !== null) {
    await page.setViewportSize(size);
  }
  return wrong;
}

/** All of that, and in the light. */
export const inEveryLook = async (page: Page): Promise<string[]> => [
  ...(await found(page, 'light')),
  ...(await inOtherLooks(page)),
];
