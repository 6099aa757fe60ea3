import { chromium } from '@playwright/test';
const [url,lang,...paths]=process.argv.slice(2);
const b=await chromium.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox','--disable-gpu']});
const c=await b.newContext({viewport:{width:1280,height:800},locale:'en-GB'});
const p=await c.newPage(); const errs=[];p.on('pageerror',e=>errs.push('ERR '+e.message.slice(0,300)));p.on('console',m=>{if(m.type()==='error')errs.push('CON '+m.text().slice(0,300))});
if(lang!=='en')await c.addInitScript(l=>localStorage.setItem('tempesal.language',l),lang);
await p.goto(url+'/sign-in'); await p.waitForTimeout(800);
await p.evaluate(async()=>{const x=document.cookie.split('; ').find(r=>r.startsWith('XSRF-TOKEN='));await fetch('/api/session');const t=decodeURIComponent(document.cookie.split('; ').find(r=>r.startsWith('XSRF-TOKEN=')).slice(11));await fetch('/api/session/demo',{method:'POST',headers:{'X-XSRF-TOKEN':t,Accept:'application/json'}})});
for(const x of paths){const [path,name,sel]=x.split('=');await p.goto(url+path);await p.waitForTimeout(1500);if(sel){await p.click(sel).catch(e=>errs.push(String(e)));await p.waitForTimeout(700)}await p.screenshot({path:`/tmp/shot-${name}.png`})}
console.log([...new Set(errs)].join('\n'));await b.close();
