import { useLayoutEffect, useRef } from 'react';

/** Boxes whose phrase is being read, or cannot be; what they show is not yet what the form knows. */
const boxes = new Map<Element, 'reading' | 'unreadable'>();

/** How long a form waits for what is being read: as long as a slow line may take. */
const PATIENCE_MS = 30_000;

const LOOK_AGAIN_MS = 25;

export function noteBox(box: Element, state: 'reading' | 'unreadable' | null): void {
  if (state === null) {
    boxes.delete(box);
  } else {
    boxes.set(box, state);
  }
}

const statesIn = (form: Element): ('reading' | 'unreadable')[] =>
  [...boxes].flatMap(([box, state]) => (form.contains(box) ? [state] : []));

/**
 * Sends a form once everything that was typed into it is understood; while something cannot be read its sentence stands
 * there, and nothing is sent. The form is found from within it; without, it is the whole page.
 */
export function useOnceRead(send: () => void): (from?: EventTarget | null) => void {
  const latest = useRef(send);
  // In the same commit in which the boxes are settled: what is sent is what they show.
  useLayoutEffect(() => {
    latest.current = send;
  });

  return (from) => {
    const form =
      (from instanceof Element ? from.closest('.ant-drawer, .ant-modal, form, section') : null) ?? document.body;
    const until = Date.now() + PATIENCE_MS;
    const look = () => {
      const states = statesIn(form);
      if (states.length === 0) {
        latest.current();
      } else if (states.includes('reading') && Date.now() < until) {
        setTimeout(look, LOOK_AGAIN_MS);
      }
    };
    look();
  };
}
