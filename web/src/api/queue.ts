import type { KeyStore } from './intentions';

/** A change that waits on this device until the network is back. */
export interface Waiting {
  /** The key under which it is written; the same one whenever it is sent. */
  key: string;
  /** What the cook was doing. */
  intention: string;
  /** Which change, by its name. */
  name: string;
  params: unknown[];
  input: unknown;
  /** When it was done, by the server's clock as this device knows it. */
  at: string;
  /** What it is about, in ids: what depends on something that was refused waits with it. */
  about: string[];
  /** By how much the server's clock was ahead of this device's then, in ms; null where nobody knew. */
  ahead: number | null;
  /** Why the server refused it; null while it waits. */
  refused: string | null;
  /** When it was by the clock of the server, where the device's clock was put right since; the cook is asked. */
  rather: string | null;
}

/** Clocks that are further apart than before by so much, in ms, are asked about. */
const CLOCK_DOUBT = 120_000;

/** How long a change is kept before it is too old to be sent, in days. */
export const KEPT_DAYS = 14;

/** What a change is about, as ids name it. */
const ULID = /[0-7][0-9a-hjkmnp-tv-z]{25}/gi;

/** Who eats and what is used depends on nothing that was done before; a jar and its steps do. */
const BESIDE = /^(person|salt|vegetable|food)Id$/;

/** The ids on which a change depends, and which depend on it. */
export function subjectsOf(params: unknown[], input: unknown): string[] {
  const told = JSON.stringify([params, input], (name, value: unknown) => (BESIDE.test(name) ? null : value));
  return [...new Set((told.match(ULID) ?? []).map((id) => id.toLowerCase()))];
}

/** The moment that a change names itself; words and lists have an "at" of another kind. */
export function momentIn(input: unknown): string | null {
  const at: unknown =
    typeof input === 'object' && input !== null && !Array.isArray(input) ? (input as { at?: unknown }).at : null;
  return typeof at === 'string' ? at : null;
}

/**
 * What was done while the network was away, in the order in which it was done. It belongs to one kitchen on this device,
 * and outlives the tab.
 */
export class WriteQueue {
  private static readonly NAME = 'tempesal.waiting';
  private readonly listeners = new Set<() => void>();
  private owner = '';
  private shown: Waiting[] = [];

  constructor(private readonly store: KeyStore) {}

  /**
   * Who does it in which kitchen; nobody else's changes are seen or sent. What waited under the name of before, when a
   * kitchen had one cook, is theirs.
   */
  belongsTo(owner: string, before?: string): void {
    if (owner !== this.owner) {
      this.owner = owner;
      const left = before === undefined ? null : this.store.getItem(`${WriteQueue.NAME}.${before}`);
      if (left !== null && left !== '[]') {
        this.store.setItem(`${WriteQueue.NAME}.${owner}`, left);
        this.store.setItem(`${WriteQueue.NAME}.${before}`, '[]');
      }
      this.changed();
    }
  }

  /** What waits, oldest first. The same list as long as nothing has changed. */
  all = (): Waiting[] => this.shown;

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };

  /** Whether there is a kitchen to keep changes for. */
  get isOpen(): boolean {
    return this.owner !== '';
  }

  add(change: Omit<Waiting, 'about' | 'refused' | 'rather'>): void {
    const about = subjectsOf(change.params, change.input);
    this.write([
      ...this.read().filter(({ key }) => key !== change.key),
      { ...change, about, refused: null, rather: null },
    ]);
  }

  discard(key: string): void {
    this.write(this.read().filter((one) => one.key !== key));
  }

  refuse(key: string, reason: string): void {
    this.write(this.read().map((one) => (one.key === key ? { ...one, refused: reason } : one)));
  }

  /**
   * The clock of this device and the server's are that far apart now: what was done by another clock is asked about
   * before it is sent.
   */
  compare(ahead: number): void {
    const isDoubtful = (one: Waiting) => one.rather === null && Math.abs(ahead - (one.ahead ?? 0)) > CLOCK_DOUBT;
    if (this.read().some(isDoubtful)) {
      this.write(
        this.read().map((one) => {
          const rather = new Date(Date.parse(one.at) + ahead - (one.ahead ?? 0)).toISOString();
          return isDoubtful(one) ? { ...one, rather } : one;
        }),
      );
    }
  }

  /** When it was, as the cook says: what it holds of its moment with it. */
  wasAt(key: string, at: string, ahead: number): void {
    this.write(
      this.read().map((one) =>
        one.key === key
          ? { ...one, at, ahead, rather: null, input: JSON.parse(JSON.stringify(one.input).replaceAll(one.at, at)) }
          : one,
      ),
    );
  }

  /** What can be sent now: everything but what was refused or is asked about, and what depends on it. */
  next(): Waiting | null {
    const held = new Set<string>();
    for (const one of this.read()) {
      if (one.refused === null && one.rather === null && !one.about.some((id) => held.has(id))) {
        return one;
      }
      one.about.forEach((id) => held.add(id));
    }
    return null;
  }

  /** Nothing waits any longer. */
  clear(): void {
    this.write([]);
  }

  /** Something else on this device may have changed it. */
  changed(): void {
    this.shown = this.read();
    this.listeners.forEach((listener) => listener());
  }

  private read(): Waiting[] {
    if (this.owner === '') {
      return [];
    }
    try {
      return JSON.parse(this.store.getItem(`${WriteQueue.NAME}.${this.owner}`) ?? '[]') as Waiting[];
    } catch {
      return [];
    }
  }

  private write(waiting: Waiting[]): void {
    this.store.setItem(`${WriteQueue.NAME}.${this.owner}`, JSON.stringify(waiting));
    this.changed();
  }
}

/** What this device keeps. */
export const queue = new WriteQueue(window.localStorage);

/** By how much the server's clock is ahead of this device's, in ms; null until the server has answered. */
let ahead: number | null = null;

/** Learns the server's clock from an answer. */
export function hearClock(date: string | null): void {
  const server = Date.parse(date ?? '');
  if (!Number.isNaN(server)) {
    const apart = server + 500 - Date.now();
    // An answer tells the second alone.
    ahead = Math.abs(apart) < 1500 ? 0 : apart;
  }
}

/** Now, by the server's clock. */
export const serverNow = (): number => Date.now() + (ahead ?? 0);

/** By how much the server's clock is ahead, in ms; null while nobody knows. */
export const clockAhead = (): number | null => ahead;
