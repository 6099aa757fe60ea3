import { useSyncExternalStore } from 'react';

/** One thing that any part of the screen may want to know, and hears of when it changes. */
export function told<Value>(begin: Value) {
  let now = begin;
  const listeners = new Set<() => void>();

  return {
    get: (): Value => now,
    set: (value: Value): void => {
      if (value !== now) {
        now = value;
        listeners.forEach((tell) => tell());
      }
    },
    use: (): Value =>
      useSyncExternalStore(
        (tell) => {
          listeners.add(tell);
          return () => listeners.delete(tell);
        },
        () => now,
      ),
  };
}
