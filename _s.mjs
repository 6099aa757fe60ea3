import { chromium } from 'playwright-core';
const [url, locale, ...paths] = process.argv.slice(2);
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale });
await page.goto(url); await page.getByRole('button', { name: 'Look around the demo kitchen' }).click(); await page.waitForTimeout(1500);
for (const p of paths) { const [path, name] = p.split('='); const full = name.endsWith('+');
  await page.goto(url + path); await page.waitForTimeout(2500);
  const steps = process.env['DO_' + name.replace('+','')]; if (steps) { for (const s of steps.split(';;')) { try { await eval(`(async()=>{${s}})()`); } catch (e) { console.log(String(e).slice(0,300)); } await page.waitForTimeout(900);} }
  await page.screenshot({ path: `/tmp/shot-${name}.png`, fullPage: full }); }
await browser.close();
