import { expect, it } from 'vitest';
import { Intentions, numbered } from '../../web/src/api/intentions';

const ALPHABET = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

it('numbers keys so that no two are the same and each is found again', () => {
  for (const end of ['00', 'ZZ', '7Q', 'Z0']) {
    const key = `01KB2M8Q4T6V8X0Z2B4D6F8H${end}`;
    const all = Array.from({ length: 1024 }, (_, number) => numbered(key, number));

    expect(new Set(all).size).toBe(1024);
    expect(all[0]).toBe(key);
    expect(all.every((one) => one.length === 26 && [...one].every((letter) => ALPHABET.includes(letter)))).toBe(true);
    expect(all).toEqual(Array.from({ length: 1024 }, (_, number) => numbered(key, number)));
  }
});

it('begins again where what was kept cannot be read', () => {
  for (const kept of ['{', 'null', '']) {
    let value: string | null = kept;
    const keys = new Intentions({ getItem: () => value, setItem: (_, next) => void (value = next) }, () => 'a new key');

    expect(keys.keyOf('serve')).toBe('a new key');
    keys.answered('serve');
    expect(value).toBe('{}');
  }
});
