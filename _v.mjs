import { chromium } from 'playwright-core';
const base='http://127.0.0.1:8460'; const W=+(process.env.W||1280),H=+(process.env.H||800);
const b = await chromium.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox']});
const p = await (await b.newContext({viewport:{width:W,height:H},colorScheme:process.env.DARK?'dark':'light',reducedMotion:'reduce'})).newPage();
p.on('pageerror',e=>console.log('ERR',e.message));
await p.goto(base); await p.getByText('Look around the demo kitchen').click(); await p.waitForTimeout(2000);
const id=await p.evaluate(async()=>(await (await fetch('/api/batches',{headers:{Accept:'application/json'}})).json()).batches.find(b=>b.name.startsWith('Caraway')).id);
const f=await p.evaluate(async()=>(await (await fetch('/api/formulas',{headers:{Accept:'application/json'}})).json()).formulas[3].id);
const all={today:'/today',week:'/week',shelf:'/shelf',ahead:'/shelf/ahead',bench:'/bench',formulas:'/formulas',formula:'/formulas/'+f,batch:'/shelf/'+id,log:`/shelf/${id}/log`,check:`/shelf/${id}/check`,counter:'/counter/'+id,intake:'/today/intake',people:'/kitchen',rooms:'/kitchen#rooms',labels:'/labels'};
for (const n of process.argv.slice(2)) { await p.goto(base+all[n]); await p.waitForTimeout(1900); await p.screenshot({path:`/tmp/v-${n}.png`}); }
await b.close();
