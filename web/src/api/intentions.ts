import { ulid } from 'ulid';

/** An id for something that is asked after while it goes on. */
export const newId = (): string => ulid();

/** Where keys are kept, so that they outlive a page that is loaded again. */
export interface KeyStore {
  getItem(name: string): string | null;
  setItem(name: string, value: string): void;
}

/**
 * The keys of what the cook is doing. A key is made when an intention begins and is kept until it is answered, so that
 * pressing again after a lost answer never writes twice.
 */
export class Intentions {
  private static readonly NAME = 'tempesal.intentions';

  constructor(
    private readonly store: KeyStore,
    private readonly make: () => string = ulid,
  ) {}

  /** The key of an intention: the one that waits for its answer, or a new one. */
  keyOf(intention: string): string {
    const waiting = this.read();
    const known = waiting[intention];
    if (known !== undefined) {
      return known;
    }
    const key = this.make();
    this.write({ ...waiting, [intention]: key });
    return key;
  }

  /** It was answered: doing the same again is another intention. */
  answered(intention: string): void {
    this.write(Object.fromEntries(Object.entries(this.read()).filter(([name]) => name !== intention)));
  }

  private read(): Record<string, string> {
    try {
      return (JSON.parse(this.store.getItem(Intentions.NAME) ?? '{}') ?? {}) as Record<string, string>;
    } catch {
      return {};
    }
  }

  private write(waiting: Record<string, string>): void {
    this.store.setItem(Intentions.NAME, JSON.stringify(waiting));
  }
}

const LETTERS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

/**
 * A key of its own for each of several requests of one intention; always the same for the same number, from 0 to 1023.
 */
export function numbered(key: string, number: number): string {
  const last = [...key.slice(-2)].reduce((sum, letter) => sum * 32 + Math.max(0, LETTERS.indexOf(letter)), 0);
  const moved = (last + number) % 1024;
  return `${key.slice(0, -2)}${LETTERS[moved >> 5] ?? '0'}${LETTERS[moved & 31] ?? '0'}`;
}
