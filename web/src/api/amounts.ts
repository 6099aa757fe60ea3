import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { answered, api } from './client';
import type { components, operations } from './contract.gen';
import { keys } from './keys';

type Query = operations['readAmount']['parameters']['query'];

export type AmountAnswer = components['schemas']['AmountAnswer'];

/** What an amount is of: a food, a salt, water, or a portion of a jar. */
export type AmountOf = Omit<Query, 'phrase'>;

/** Typing rests this long before it is asked what was typed. */
const REST_MS = 150;

export const readAmount = (phrase: string, of: AmountOf, signal?: AbortSignal): Promise<AmountAnswer> =>
  answered(api.GET('/amounts', { params: { query: { ...of, phrase } }, ...(signal ? { signal } : {}) }));

/** How a phrase is understood, a moment after it was typed; nothing for an empty one. */
export function useAmount(phrase: string, of: AmountOf): AmountAnswer | undefined {
  const [rested, setRested] = useState(phrase);
  useEffect(() => {
    const timer = setTimeout(() => setRested(phrase), REST_MS);

    return () => clearTimeout(timer);
  }, [phrase]);
  const asked = rested.trim().slice(0, 200);
  const answer = useQuery({
    queryKey: keys.amount(asked, of),
    enabled: asked !== '',
    queryFn: ({ signal }) => readAmount(asked, of, signal),
    staleTime: 60_000,
    retry: false,
  });

  return rested === phrase && asked !== '' ? answer.data : undefined;
}
