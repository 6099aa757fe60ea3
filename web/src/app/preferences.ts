import { useSyncExternalStore } from 'react';

/** A hook that tells whether the device asks for something, and keeps up when that changes. */
function preference(media: string): () => boolean {
  const asked = window.matchMedia(media);
  const subscribe = (changed: () => void) => {
    asked.addEventListener('change', changed);
    return () => {
      asked.removeEventListener('change', changed);
    };
  };
  return () => useSyncExternalStore(subscribe, () => asked.matches);
}

/** Whether the device asks for dark screens. */
export const usePrefersDark = preference('(prefers-color-scheme: dark)');

/** Whether the device asks for nothing to move. */
export const usePrefersStillness = preference('(prefers-reduced-motion: reduce)');
