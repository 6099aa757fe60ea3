import { useCallback, useRef, useState } from 'react';
import { useLocation, useNavigate, useSearchParams } from 'react-router';

/**
 * Something chosen on a page that its address carries, so that a reload and the way back bring it back; what is usual is not
 * written down.
 */
export function useAddressState<Usual extends string>(name: string, usual: Usual): [string, (value: string) => void] {
  const [asked] = useSearchParams();
  const navigate = useNavigate();
  const { pathname: here } = useLocation();
  // The address follows in its own time; who types sees each letter at once.
  const [value, setValue] = useState(asked.get(name) ?? usual);
  const choose = useCallback(
    (value: string) => {
      setValue(value);
      const { pathname, search, hash } = window.location;
      if (pathname !== here) {
        // The page has been left meanwhile.
        return;
      }
      const now = new URLSearchParams(search);
      if (value === usual) {
        now.delete(name);
      } else {
        now.set(name, value);
      }
      void navigate({ search: now.toString(), hash }, { replace: true, preventScrollReset: true });
    },
    [navigate, here, name, usual],
  );

  return [value, choose];
}

/** The same for a choice between yes and no. */
export function useAddressFlag(name: string): [boolean, (is: boolean) => void] {
  const [value, choose] = useAddressState(name, '');

  return [value === 'yes', (is) => choose(is ? 'yes' : '')];
}

/**
 * What is open beside the page, which its address carries too: one of some things, or, with nothing named, something new or
 * the one drawer that there is. The way back closes it, and closing it is that way.
 */
export function useOpened<Thing extends { id: string }>(name: string, things: readonly Thing[] = []) {
  const [asked] = useSearchParams();
  const navigate = useNavigate();
  const { pathname: here } = useLocation();
  /** The place in the browser's history that is being left: it is left once, however often that is asked for. */
  const left = useRef<string | undefined>(undefined);
  const value = asked.get(name) ?? '';
  const thing = things.find(({ id }) => id === value) ?? null;

  const go = (to: string, replace: boolean) => {
    const { search, hash } = window.location;
    const now = new URLSearchParams(search);
    if (to === '') {
      now.delete(name);
    } else {
      now.set(name, to);
    }
    void navigate(
      { search: now.toString(), hash },
      { replace, preventScrollReset: true, state: to === '' ? null : { opened: name } },
    );
  };

  return {
    isOpen: value === NEW || thing !== null,
    thing,
    open: (one?: Thing) => go(one?.id ?? NEW, false),
    close: () => {
      const place = window.history.state as Place | null;
      if (window.location.pathname !== here || (place?.key !== undefined && place.key === left.current)) {
        // The page, or what was open, has been left meanwhile.
        return;
      }
      if (place?.usr?.opened === name) {
        left.current = place.key;
        void navigate(-1);
      } else if (new URLSearchParams(window.location.search).has(name)) {
        go('', true);
      }
    },
  };
}

/** What the router notes with each place in the browser's history. */
interface Place {
  key?: string;
  usr?: { opened?: string } | null;
}

const NEW = 'new';
