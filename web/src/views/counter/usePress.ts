import { useEffect, useRef } from 'react';

/** Runs something on a key, but never while the cook types or has a button in hand. */
export function usePress(key: string, run: () => void): void {
  const latest = useRef(run);
  useEffect(() => {
    latest.current = run;
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const on = event.target;
      const isTaken =
        on instanceof HTMLElement &&
        (/^(INPUT|TEXTAREA|SELECT)$/.test(on.tagName) || on.closest('.ant-modal') !== null);
      const isButton = key === ' ' && on instanceof HTMLElement && on.closest('button, a') !== null;
      if (event.key === key && !isTaken && !isButton && !event.ctrlKey && !event.metaKey && !event.altKey) {
        event.preventDefault();
        latest.current();
      }
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [key]);
}
