/** Menus and lists that are gone once something in them was chosen. */
const PASSING = '.ant-dropdown, .ant-popover, .ant-select-dropdown';

/** What is on its way out, or never had a place of its own. */
const LEAVING = '.ant-drawer:not(.ant-drawer-open), .ant-modal-wrap[style*="display: none"]';

/** How many places are remembered: enough for a drawer over a drawer, with all that was typed in them. */
const REMEMBERED = 60;

/** Where the focus has been, the last place first. */
let places: HTMLElement[] = [];

document.addEventListener('focusin', ({ target }) => {
  if (target instanceof HTMLElement && target.id !== 'page' && target.closest(PASSING) === null) {
    places = [target, ...places.filter((place) => place !== target)].slice(0, REMEMBERED);
  }
});

const isThere = (place: HTMLElement): boolean =>
  place.isConnected &&
  place.getClientRects().length > 0 &&
  place.closest(LEAVING) === null &&
  !place.matches(':disabled');

/**
 * After a dialog, a drawer or a line of a page has gone: the focus goes to where it was last that is still there; where
 * nothing is, to the page itself. What holds the focus keeps it.
 */
export function returnFocus(): void {
  // What goes takes the focus with it, a moment later.
  setTimeout(() => {
    const now = document.activeElement;
    if (now instanceof HTMLElement && now !== document.body && isThere(now)) {
      return;
    }
    (places.find(isThere) ?? document.getElementById('page'))?.focus({ preventScroll: true });
  });
}
