import { chromium } from '@playwright/test';
import { execSync } from 'node:child_process';
// usage: shot.tmp.ts out job place [w h theme click...]
const [out, job, place, w='1280', h='800', theme='light', ...clicks] = process.argv.slice(2);
const base='http://127.0.0.1:4900';
const list: any = await (await fetch(base+'/api/jobs?limit=100')).json();
const id = (list.jobs ?? list.rows).find((j:any)=>j.name.startsWith(job))?.id;
const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args:['--no-sandbox'] });
const page = await browser.newPage({ viewport:{width:+w,height:+h}, colorScheme: theme as any, reducedMotion:'reduce' });
page.on('pageerror', e=>console.log('ERR', e.message));
page.on('console', m=>{ if(m.type()==='error') console.log('CON', m.text()); });
await page.goto(id ? `${base}/jobs/${id}/${place}` : `${base}/${job}`);
await page.waitForTimeout(1500);
await page.waitForFunction(() => document.fonts.status === 'loaded' && !document.querySelector('.buy .working, .tape .work'), undefined, {timeout: 30000}).catch(()=>console.log('still working'));
for (const c of clicks) { await page.getByText(c, {exact:true}).first().click(); await page.waitForTimeout(600); }
await page.screenshot({ path: out });
await browser.close();
