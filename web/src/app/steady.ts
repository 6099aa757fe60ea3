import { useLayoutEffect, useState } from 'react';

type Hands = Record<string, (...given: never[]) => unknown>;

/** Functions that stay the same ones, and do what was last meant by them. */
class Steady<Some extends Hands> {
  readonly hands: Some;
  private meant: Some;

  constructor(first: Some) {
    this.meant = first;
    this.hands = Object.fromEntries(
      Object.keys(first).map((name) => [name, (...given: never[]) => this.meant[name]?.(...given)]),
    ) as Some;
  }

  mean(now: Some): void {
    this.meant = now;
  }
}

/** The same functions each time, so that whoever is given them need not be drawn again. */
export function useSteady<Some extends Hands>(hands: Some): Some {
  const [steady] = useState(() => new Steady(hands));
  useLayoutEffect(() => {
    steady.mean(hands);
  });

  return steady.hands;
}
