import { useSyncExternalStore } from 'react';

const evening = window.matchMedia('(prefers-color-scheme: dark)');

function subscribe(changed: () => void): () => void {
  evening.addEventListener('change', changed);
  return () => {
    evening.removeEventListener('change', changed);
  };
}

/** Whether the device asks for dark screens. */
export const usePrefersDark = (): boolean => useSyncExternalStore(subscribe, () => evening.matches);
