import { useCallback, useState } from 'react';
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
 * the one drawer that there is.
 */
export function useOpened<Thing extends { id: string }>(name: string, things: readonly Thing[] = []) {
  const [value, choose] = useAddressState(name, '');
  const thing = things.find(({ id }) => id === value) ?? null;

  return {
    isOpen: value === NEW || thing !== null,
    thing,
    open: (one?: Thing) => choose(one?.id ?? NEW),
    close: () => choose(''),
  };
}

const NEW = 'new';
