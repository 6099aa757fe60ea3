import { useCallback, useState } from 'react';

/** What was kept on this device under a name, or nothing. */
export function stored<T>(name: string): Partial<T> {
  try {
    return JSON.parse(localStorage.getItem(name) ?? '{}') as Partial<T>;
  } catch {
    return {};
  }
}

/** Keeps something under a name. */
export const keep = (name: string, value: object): void => localStorage.setItem(name, JSON.stringify(value));

export const forget = (name: string): void => localStorage.removeItem(name);

/** What this device is like, whoever uses it. */
const OF_DEVICE = ['tempesal.scheme', 'tempesal.keys', 'tempesal.language'];

/** Forgets all that was begun here: whoever comes next is somebody else. */
export function forgetDrafts(): void {
  for (const storage of [localStorage, sessionStorage]) {
    for (const name of Object.keys(storage)) {
      if (name.startsWith('tempesal.') && !OF_DEVICE.includes(name)) {
        storage.removeItem(name);
      }
    }
  }
}

/** Something being typed, kept on this device with every key stroke so that a reload loses nothing. */
export function usePersistentState<T extends object>(
  name: string,
  begin: () => T,
): [T, (change: Partial<T>) => void, () => void] {
  const [value, setValue] = useState(begin);
  const change = useCallback(
    (part: Partial<T>) =>
      setValue((old) => {
        const next = { ...old, ...part };
        localStorage.setItem(name, JSON.stringify(next));
        return next;
      }),
    [name],
  );
  const clear = useCallback(() => {
    forget(name);
    setValue(begin());
    // How it begins is asked for once.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [name]);

  return [value, change, clear];
}
