import { useLayoutEffect, useRef } from 'react';
import { useLocation, useNavigationType } from 'react-router';

const KEPT_AS = 'tempesal.scrolled';

/** Pages of one way that are remembered, the last ones. */
const REMEMBERED = 60;

/** How long a page may take until it is as long again as it was. */
const PATIENCE_MS = 3_000;

const LOOK_AGAIN_MS = 60;

/** How far each page of the way was scrolled, in px, by its key in the browser's history. */
const places = new Map<string, number>(read());

function read(): [string, number][] {
  try {
    return JSON.parse(window.sessionStorage.getItem(KEPT_AS) ?? '[]') as [string, number][];
  } catch {
    return [];
  }
}

function note(page: string): void {
  places.delete(page);
  places.set(page, window.scrollY);
}

// A reload begins anew, with what was kept.
window.addEventListener('pagehide', () =>
  window.sessionStorage.setItem(KEPT_AS, JSON.stringify([...places].slice(-REMEMBERED))),
);

/** A page that is gone to begins at its top; the way back, and a reload, lead to where one was on it. */
export function useScrollPlaces(): void {
  const { key, pathname, hash } = useLocation();
  const page = `${key} ${pathname}`;
  const type = useNavigationType();
  const before = useRef(pathname);

  useLayoutEffect(() => {
    window.history.scrollRestoration = 'manual';
    const isOther = before.current !== pathname;
    before.current = pathname;
    const wanted = places.get(page);
    if (type !== 'POP') {
      if (isOther && hash === '') {
        window.scrollTo(0, 0);
      }
      // What is chosen on a page gives it another key in the history, and leaves it where it is.
      note(page);
      return;
    }
    if (wanted === undefined) {
      return;
    }
    // What is on it comes in a moment; whoever moves meanwhile is left where they are.
    const until = Date.now() + PATIENCE_MS;
    let timer: number | undefined;
    const go = () => {
      window.scrollTo(0, wanted);
      if (Math.abs(window.scrollY - wanted) > 1 && Date.now() < until) {
        timer = window.setTimeout(go, LOOK_AGAIN_MS);
      }
    };
    const stop = () => window.clearTimeout(timer);
    go();
    const moves = ['wheel', 'touchmove', 'keydown', 'pointerdown'];
    moves.forEach((move) => window.addEventListener(move, stop, { passive: true }));
    return () => {
      stop();
      moves.forEach((move) => window.removeEventListener(move, stop));
    };
  }, [page, pathname, hash, type]);

  useLayoutEffect(() => {
    const listen = () => note(page);
    window.addEventListener('scroll', listen, { passive: true });
    return () => window.removeEventListener('scroll', listen);
  }, [page]);
}
