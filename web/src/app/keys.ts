import { useEffect } from 'react';

/** Every key of the application, in one place; the help sheet lists them. */
export const keys = [
  { key: 't', does: 'Today' },
  { key: 'w', does: 'Week' },
  { key: 's', does: 'Shelf' },
  { key: 'a', does: 'The weeks ahead' },
  { key: 'i', does: 'Intake over days and weeks' },
  { key: 'b', does: 'Bench' },
  { key: 'f', does: 'Formulas' },
  { key: 'k', does: 'Kitchen' },
  { key: 'd', does: 'All of today’s small chores are done' },
  { key: 'u', does: 'Undo the last serving, or on Week the last change' },
  { key: 'y', does: 'On Week: make the change again that was undone' },
  { key: 'p', does: 'On Week: plan the whole week' },
  { key: 'r', does: 'On Week: plan the rest around what is there' },
  { key: '/', does: 'Find a jar, a formula or a day; on the shelf arrows go from jar to jar' },
  { key: '?', does: 'This sheet' },
] as const;

export type Key = (typeof keys)[number]['key'];

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
  );
}

/** Runs something on a key, but never while the cook types. */
export function useKey(key: Key, run: (key: Key) => void): void {
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.key === key && !event.ctrlKey && !event.metaKey && !event.altKey && !isTyping(event.target)) {
        event.preventDefault();
        run(key);
      }
    };
    window.addEventListener('keydown', listen);
    return () => {
      window.removeEventListener('keydown', listen);
    };
  }, [key, run]);
}
