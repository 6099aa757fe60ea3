/* Says messages from standard input as the screens do, with the catalogue of messages/en. */
import { IntlMessageFormat } from 'intl-messageformat';
import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const folder = join(dirname(fileURLToPath(import.meta.url)), '../../messages/en');
const patterns = Object.fromEntries(
  readdirSync(folder).flatMap((file) =>
    Object.entries(JSON.parse(readFileSync(join(folder, file), 'utf8'))).map(([name, pattern]) => [
      `${file.replace('.json', '')}.${name}`,
      pattern,
    ]),
  ),
);
const locale = process.argv[2] ?? 'en';
const valueOf = (value) => (typeof value === 'object' ? new Date(`${value.day}T12:00`) : value);
const say = ({ code, values }) =>
  String(
    new IntlMessageFormat(patterns[code], locale).format(
      Object.fromEntries(Object.entries(values).map(([name, value]) => [name, valueOf(value)])),
    ),
  );

process.stdout.write(JSON.stringify(JSON.parse(readFileSync(0, 'utf8')).map(say)));
