import { useEffect, useRef, useState, type Dispatch, type SetStateAction } from 'react';

const KEPT_AS = 'tempesal.typed';

/** What is typed on a page in what is open beside it, in this tab. */
interface Typed {
  page: string;
  values: Record<string, unknown>;
}

function typedHere(): Record<string, unknown> {
  try {
    const { page, values } = JSON.parse(sessionStorage.getItem(KEPT_AS) ?? '{}') as Partial<Typed>;
    return page === location.pathname ? (values ?? {}) : {};
  } catch {
    return {};
  }
}

function write(values: Record<string, unknown>): void {
  if (Object.keys(values).length === 0) {
    sessionStorage.removeItem(KEPT_AS);
  } else {
    sessionStorage.setItem(KEPT_AS, JSON.stringify({ page: location.pathname, values } satisfies Typed));
  }
}

/**
 * A state that a reload brings back, for what is typed in something that is open beside a page. It is forgotten when that is
 * closed. What is kept is plain data.
 *
 * @param name what it is on this page, with the id of the thing where there are several
 */
export function useTyped<T>(name: string, begin: T | (() => T)): [T, Dispatch<SetStateAction<T>>] {
  const [value, set] = useState<T>(() => {
    const typed = typedHere();
    return name in typed ? (typed[name] as T) : begin instanceof Function ? begin() : begin;
  });
  const first = useRef(value);
  useEffect(() => {
    if (value !== first.current || name in typedHere()) {
      write({ ...typedHere(), [name]: value });
    }
  }, [name, value]);
  useEffect(
    () => () => {
      write(Object.fromEntries(Object.entries(typedHere()).filter(([other]) => other !== name)));
    },
    [name],
  );

  return [value, set];
}
