import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useTyped } from '../app/typed';
import type { Refusal } from './client';

/** What was added to a list and what was removed from it. */
interface ListChange {
  added?: unknown[];
  removed?: unknown[];
}

type Changed<Fields> = {
  [Name in keyof Fields]?: Fields[Name] extends unknown[] ? ListChange : Fields[Name];
};

/** All of it, or the version that was open with what changed. */
type Body<Fields> = { version: number } & Partial<Fields>;

const same = (one: unknown, other: unknown): boolean => JSON.stringify(one) === JSON.stringify(other);

const without = (all: unknown[], some: unknown[]): unknown[] =>
  all.filter((one) => !some.some((other) => same(one, other)));

/** Only what changed, lists as what was added and what was removed. */
export function changed<Fields extends object>(before: Fields, after: Fields): Changed<Fields> {
  const parts = (Object.keys(after) as (keyof Fields)[]).flatMap((name) => {
    const [then, now]: unknown[] = [before[name], after[name]];
    if (same(then, now)) {
      return [];
    }
    return [[name, Array.isArray(then) && Array.isArray(now) ? listChange(then, now) : now] as [PropertyKey, unknown]];
  });
  return Object.fromEntries(parts) as Changed<Fields>;
}

function listChange(then: unknown[], now: unknown[]): ListChange {
  const [added, removed] = [without(now, then), without(then, now)];
  return { ...(added.length > 0 ? { added } : {}), ...(removed.length > 0 ? { removed } : {}) };
}

/** One's own changes on top of what somebody else has made of the same thing. */
export function rebased<Fields extends object>(base: Fields, mine: Fields, theirs: Fields): Fields {
  const parts = (Object.keys(mine) as (keyof Fields)[]).map((name) => {
    const [then, now, other]: unknown[] = [base[name], mine[name], theirs[name]];
    if (same(then, now)) {
      return [name, other] as [PropertyKey, unknown];
    }
    if (Array.isArray(then) && Array.isArray(now) && Array.isArray(other)) {
      const { added = [], removed = [] } = listChange(then, now);
      return [name, [...without(without(other, removed), added), ...added]] as [PropertyKey, unknown];
    }
    return [name, now] as [PropertyKey, unknown];
  });
  return Object.fromEntries(parts) as Fields;
}

/** Something that can be changed, as it is now, with the version that it has. */
interface Current<Fields> {
  version: number;
  fields: Fields;
}

/**
 * What is typed about something that is there, or about something new. What is sent names the version that was open and
 * only what changed. Where somebody changed it since, theirs is shown with one's own on top, and is sent once that was
 * seen; as long as nothing was typed, what is newest is shown. A reload brings back what was typed, on what it was typed.
 *
 * @param name what it is on this page, with the id of the thing where there are several
 */
export function useEdits<Fields extends object>(name: string, now: Current<Fields> | null, blank: Fields) {
  const queries = useQueryClient();
  const [{ base, fields }, set] = useTyped(name, { base: now, fields: now?.fields ?? blank });
  const [isTold, setIsTold] = useState(false);
  const isNewer = now !== null && base !== null && now.version > base.version;
  if (isNewer && (isTold || same(base.fields, fields))) {
    setIsTold(false);
    set({ base: now, fields: rebased(base.fields, fields, now.fields) });
  }

  return {
    fields,
    change: (part: Partial<Fields>) => set((before) => ({ ...before, fields: { ...before.fields, ...part } })),
    /** What is sent: all of something new, or what changed of what is there. */
    body: () => (base === null ? fields : { version: base.version, ...changed(base.fields, fields) }) as Body<Fields>,
    /** It was saved, and is open still: what is typed from now on is held against that. */
    saved: (version: number) => set({ base: { version, fields }, fields }),
    /** Asks for what somebody else has made of it. */
    onError: (refusal: Refusal) => {
      if (refusal.of('version') !== undefined) {
        setIsTold(true);
        void queries.invalidateQueries();
      }
    },
  };
}
