import { chromium } from 'playwright-core';
const base = process.env.URL_ ;
const W=+(process.env.W||1280), H=+(process.env.H||800);
const b = await chromium.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox']});
const c = await b.newContext({viewport:{width:W,height:H},colorScheme:process.env.DARK?'dark':'light'});
const page = await c.newPage();
page.on('pageerror',e=>console.log('ERR',e.message));
await page.goto(base); 
await page.getByText('Look around the demo kitchen').click();
await page.waitForTimeout(2500);
globalThis.api = async (m,p,d)=> page.evaluate(async([m,p,d])=>{const t=decodeURIComponent((document.cookie.match(/XSRF-TOKEN=([^;]+)/)||[])[1]||'');const r=await fetch('/api'+p,{method:m,headers:{'Content-Type':'application/json',Accept:'application/json','X-XSRF-TOKEN':t},body:d?JSON.stringify(d):undefined});return r.json()},[m,p,d]);
for (const a of process.argv.slice(2)) {
  const i=a.lastIndexOf('='); const path=a.slice(0,i), name=a.slice(i+1);
  if (process.env['PRE_'+name]) await eval('(async()=>{'+process.env['PRE_'+name]+'})()');
  const to = globalThis.TO ?? path; globalThis.TO=undefined;
  await page.goto(base+to); await page.waitForTimeout(2200);
  if (process.env['DO_'+name]) { await eval('(async()=>{'+process.env['DO_'+name]+'})()'); await page.waitForTimeout(1200); }
  await page.screenshot({path:`/tmp/shot-${name}.png`, fullPage: !!process.env.FULL});
}
await b.close();
