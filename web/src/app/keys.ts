import { t } from '../messages/words';
import { keyChoice } from './preferences';
import { useEffect } from 'react';

/** Every key of the application, in one place; the help sheet lists them. */
export const keys = [
  { key: 't', does: t('nav.today') },
  { key: 'w', does: t('nav.week') },
  { key: 's', does: t('nav.shelf') },
  { key: 'a', does: t('nav.weeks_ahead') },
  { key: 'i', does: t('key.intake') },
  { key: 'b', does: t('nav.bench') },
  { key: 'f', does: t('nav.formulas') },
  { key: 'k', does: t('nav.kitchen') },
  { key: 'd', does: t('key.chores_done') },
  { key: 'u', does: t('key.undo') },
  { key: 'y', does: t('key.redo') },
  { key: 'p', does: t('key.plan') },
  { key: 'r', does: t('key.plan_rest') },
  { key: '/', does: t('key.search') },
  { key: '?', does: t('key.help') },
] as const;

export type Key = (typeof keys)[number]['key'];

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
  );
}

/** Whether a press means a key, by the cook's choice: the letter alone, with Alt, or never. */
function isMeant(event: KeyboardEvent, key: Key): boolean {
  if (event.ctrlKey || event.metaKey) {
    return false;
  }
  switch (keyChoice.read()) {
    case 'letter':
      return event.key === key && !event.altKey;
    case 'alt':
      // With Alt some keyboards write another letter.
      return event.altKey && (event.key === key || event.code === `Key${key.toUpperCase()}`);
    case 'off':
      return false;
  }
}

/** Runs something on a key, but never while the cook types. */
export function useKey(key: Key, run: (key: Key) => void): void {
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (isMeant(event, key) && !isTyping(event.target)) {
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
