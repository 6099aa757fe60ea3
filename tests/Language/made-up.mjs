/*
 * Writes messages/en-XA: the catalogue in a made-up language, for the tests. Every sentence stands in brackets of its
 * own, its letters carry accents, and it is a third longer. What is seen outside such brackets is not from the
 * catalogue.
 */
import { parse, TYPE } from '@formatjs/icu-messageformat-parser';
import { printAST } from '@formatjs/icu-messageformat-parser/printer.js';
import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const messages = join(dirname(fileURLToPath(import.meta.url)), '../../messages');
const folder = join(messages, 'en-XA');

const FROM = 'abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ';
const TO = 'áƀçďéƒǵĥíĵķĺɱñóƥʠřšťúṽŵẋýžÁƁÇĎÉƑǴĤÍĴĶĹḾÑÓƤɊŘŠŤÚṼŴẊÝŽ';
const letters = [...TO];
const accented = (text) => text.replace(/[a-z]/gi, (letter) => letters[FROM.indexOf(letter)] ?? letter);

/** How many letters are added for so many. */
const LONGER = 1 / 3;
const more = (length) => 'ẋẋẋ '.repeat(Math.ceil((length * LONGER) / 4)).trimEnd();

function disguised(elements) {
  return elements.map((one) => {
    switch (one.type) {
      case TYPE.literal:
        return { ...one, value: accented(one.value) };
      case TYPE.select:
      case TYPE.plural:
        return {
          ...one,
          options: Object.fromEntries(
            Object.entries(one.options).map(([name, { value }]) => [name, { value: disguised(value) }]),
          ),
        };
      case TYPE.tag:
        return { ...one, children: disguised(one.children) };
      default:
        return one;
    }
  });
}

/** A pattern in the made-up language. */
export function madeUp(pattern) {
  // What only joins or quotes others has no words to translate.
  if (!/[a-z]/i.test(pattern.replace(/\{[^{}]*\}/g, ''))) {
    return pattern;
  }
  const words = pattern.replace(/\{[^{}]*\}|<[^>]*>/g, '').trim().length;

  return `⟦${printAST(disguised(parse(pattern)))} ${more(words)}⟧`;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  for (const file of readdirSync(join(messages, 'en'))) {
    const subject = JSON.parse(readFileSync(join(messages, 'en', file), 'utf8'));
    const said = Object.fromEntries(Object.entries(subject).map(([name, pattern]) => [name, madeUp(pattern)]));
    writeFileSync(join(folder, file), JSON.stringify(said));
  }
}
