import fs from 'node:fs';
import { chromium } from 'playwright-core';
const [url, ...pairs] = process.argv.slice(2);
const w=+(process.env.W??1280), h=+(process.env.H??800);
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const context = await browser.newContext({ viewport: { width: w, height: h }, colorScheme: process.env.DARK?'dark':'light' });
const page = await context.newPage();
page.on('pageerror', (e) => console.log('ERR', e.message));
await page.goto(url + '/');
await page.getByRole('button', { name: 'Look around the demo kitchen' }).click();
await page.waitForURL('**/today');
const api = async (method, path, data) => page.evaluate(async ([method, path, data]) => {
  const token = decodeURIComponent(document.cookie.split('; ').find((c) => c.startsWith('XSRF-TOKEN='))?.slice(11) ?? '');
  const r = await fetch('/api' + path, { method, headers: { Accept: 'application/json', 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token }, body: data ? JSON.stringify(data) : undefined });
  return r.json();
}, [method, path, data]);
globalThis.api = api; globalThis.page = page; globalThis.url=url;

eval(fs.readFileSync('/tmp/lib.js','utf8'));
for (const pair of pairs) {
  const [path, name] = pair.split('=');
  if (path !== '-') { await page.goto(url + path); await page.waitForLoadState('networkidle').catch(()=>{}); }
  const act = process.env['DO_' + name];
  if (act) await eval('(async () => {' + act + '})()');
  await page.waitForTimeout(700);
  await page.screenshot({ path: '/tmp/shot-' + name + '.png' });
  console.log(name, page.url());
}
await browser.close();
