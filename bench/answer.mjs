// How fast the bench answers over HTTP, one request after another, against the running demo kitchen.
//   node bench/answer.mjs http://127.0.0.1:8470
import { cpus } from 'node:os';
import { spread } from './spread.mjs';

const url = process.argv[2] ?? 'http://127.0.0.1:8410';
const rounds = 300;
const jar = new Map();

async function ask(path, options = {}) {
  const headers = {
    Accept: 'application/json',
    'Content-Type': 'application/json',
    Cookie: [...jar].map(([name, value]) => `${name}=${value}`).join('; '),
    'X-XSRF-TOKEN': decodeURIComponent(jar.get('XSRF-TOKEN') ?? ''),
  };
  const answer = await fetch(url + path, { ...options, headers });
  for (const line of answer.headers.getSetCookie()) {
    const [name, value] = line.split(';')[0].split('=');
    jar.set(name, value);
  }
  if (!answer.ok) {
    throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
  }
  return answer.json();
}

async function timed(name, run) {
  for (let i = 0; i < 20; i++) {
    await run(i);
  }
  const times = [];
  for (let i = 0; i < rounds; i++) {
    const start = performance.now();
    await run(i);
    times.push(performance.now() - start);
  }
  console.log(`${name.padEnd(34)} ${spread(times)}`);
}

await ask('/api/session');
await ask('/api/session/demo', { method: 'POST' });
const kitchen = await ask('/api/kitchen');
const { ingredients } = await ask('/api/pantry');
const find = (rows, test) => rows.find(test).id;
const bench = (i) => ({
  method: 'poured_brine',
  vegetableId: find(ingredients, (one) => one.key === 'carrot'),
  vegetableAmount: `${400 + (i % 150)} g`,
  jarId: find(kitchen.jars, (one) => one.name === 'Quart jar'),
  headspaceMm: 20,
  weightMl: 0,
  saltId: find(kitchen.salts, (one) => one.key === 'flaky-kosher'),
  saltUnit: 'spoons',
  fixed: 'strength',
  strengthPercent: '3',
  strengthBasis: 'of_water',
  servingAmount: '40 g',
});

console.log(
  `${cpus().length} cores, ${cpus()[0].model.trim()}, Node ${process.versions.node}; ${rounds} requests each`,
);
await timed('bench, poured brine, spooned salt', (i) =>
  ask('/api/bench', { method: 'POST', body: JSON.stringify(bench(i)) }),
);
const phrase = (i) => `${1 + (i % 9)} heaped tbsp`;
await timed('an amount being typed', (i) =>
  ask(`/api/amounts?kind=amount&of=salt&id=${bench(0).saltId}&phrase=${encodeURIComponent(phrase(i))}`),
);
await timed('today', () => ask('/api/days/today'));
await timed('shelf', () => ask('/api/batches'));
await timed('formulas', () => ask('/api/formulas'));
const { formulas } = await ask('/api/formulas');
const kimchi = await ask(`/api/formulas/${find(formulas, (one) => one.name === 'Everyday kimchi')}`);
await timed('a formula being written', (i) =>
  ask('/api/formulas/compute', {
    method: 'POST',
    body: JSON.stringify({
      document: { ...kimchi.document, serving: { phase: 'pieces', grams: 30 + (i % 40) } },
    }),
  }),
);
