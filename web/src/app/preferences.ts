import { useSyncExternalStore } from 'react';
import { told } from '../api/told';

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

/** Whether the device asks for nothing to move. */
export const usePrefersStillness = preference('(prefers-reduced-motion: reduce)');

const usePrefersDark = preference('(prefers-color-scheme: dark)');

/** A choice of this device, kept under a name; every part of the screen sees a change at once. */
function choice<T extends string>(name: string, options: readonly T[], usual: T) {
  const chosen = told<T>(options.find((one) => one === localStorage.getItem(name)) ?? usual);

  return {
    read: chosen.get,
    use: chosen.use,
    choose: (value: T) => {
      localStorage.setItem(name, value);
      chosen.set(value);
    },
  };
}

export const schemes = ['system', 'light', 'dark'] as const;

/** Light or dark screens, or as the device asks. */
export const scheme = choice('tempesal.scheme', schemes, 'system');

export const keyChoices = ['letter', 'alt', 'off'] as const;

/** Whether a letter alone is a shortcut, one with Alt, or none. */
export const keyChoice = choice('tempesal.keys', keyChoices, 'letter');

/** Whether the screens are dark now. */
export function useIsDark(): boolean {
  const isDark = usePrefersDark();
  const chosen = scheme.use();

  return chosen === 'system' ? isDark : chosen === 'dark';
}
