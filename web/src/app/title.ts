import { useEffect, useLayoutEffect } from 'react';
import { t } from '../messages/words';

const say = (title: string) => {
  document.title = t('page_title.of', { title });
};

/** The title of the window on a page, until the page knows better. */
export function usePageTitle(title: string): void {
  useLayoutEffect(() => say(title), [title]);
}

/** The title of the window once the page knows what it shows. */
export function useTitle(title: string | undefined): void {
  useEffect(() => {
    if (title !== undefined) {
      say(title);
    }
  }, [title]);
}
