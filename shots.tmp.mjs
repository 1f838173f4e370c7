import { chromium } from '@playwright/test';
const base='http://127.0.0.1:4100';
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
page.on('pageerror', (e) => console.log('pageerror', e.message));
page.on('console', (m) => m.type()==='error' && console.log('console', m.text().slice(0,300)));
const open = async (b) => { const r = await page.request.post(base+'/api/visits',{data:{bookingId:'demo-booking-'+b}}); return (await r.json()).visitId; };
const o = await open('ottilie');
await page.goto(`${base}/visits/${o}/chart`); await page.waitForTimeout(1500);
await page.screenshot({path:'/tmp/s1.png'});
// upper back crossing
const v = await open('anselm');
const b = await (await page.request.get(`${base}/api/visits/${v}`)).json();
const r = await page.request.put(`${base}/api/visits/${v}/zones`, {data:{version:b.visit.version, zones:[{zone:'upper-back',side:'middle'},{zone:'chin',side:'middle'}]}}); console.log(r.status());
await page.goto(`${base}/visits/${v}/chart`); await page.waitForTimeout(1500);
await page.keyboard.press('x');
await page.getByRole('radio',{name:'half'}).click();
const c = page.getByRole('application'); const box = await c.boundingBox(); const px=Number(await c.getAttribute('data-px-per-cm')); const [ox,oy]=(await c.getAttribute('data-origin')).split(',').map(Number);
const at=(x,y)=>[box.x+ox+x*px, box.y+oy+y*px];
for (const y of [8,10,12]) { let [x0,y0]=at(5,y); await page.mouse.move(x0,y0); await page.mouse.down(); for(let k=1;k<=20;k++){ const [x,yy]=at(5+k*0.5,y); await page.mouse.move(x,yy);} await page.mouse.up(); }
await page.waitForTimeout(1500);
await page.screenshot({path:'/tmp/s2.png'});
await page.keyboard.press('m'); await page.waitForTimeout(200);
await page.screenshot({path:'/tmp/s3.png'});
await page.setViewportSize({width:360,height:780}); await page.waitForTimeout(800);
await page.screenshot({path:'/tmp/s4.png', fullPage:true});
await browser.close();
