import { Application } from './support/application';
import { Bookkeeper } from './support/bookkeeper';
import { openBrowser } from './support/browser';
const application = await Application.start();
const browser = await openBrowser();
const step = async (what: string, work: () => Promise<unknown>) => { try { await work(); } catch (e) { console.log('FAILED', what, String(e).slice(0, 300)); } };
try {
  const maren = await Bookkeeper.at(browser, application);
  const { page } = maren;
  await page.setViewport({ width: 1280, height: 800 });
  const shot = async (name: string) => { await new Promise((r) => setTimeout(r, 450)); await page.screenshot({ path: `/tmp/shots/${name}.png` as `${string}.png` }); };
  await maren.tabTo('Maren Oake'); await maren.press('Enter');
  await maren.sees('Heron Reach Rowing Club');
  await step('new client', async () => {
    await maren.tabTo('Add a client'); await maren.press('Enter');
    await maren.sees('Legal form');
    await maren.type('Café Linden'); await maren.press('Tab'); await maren.type('corp'); await maren.press('Enter', 'Tab'); 
    await maren.tabTo('Trade'); await maren.type('caf'); await shot('p-client');
    await maren.press('Tab'); await maren.tabTo('Country'); await maren.type('united k'); await shot('p-client2'); await maren.press('Tab');
    await maren.tabTo('Fiscal year'); await maren.press('ArrowDown'); await shot('p-client3'); await maren.press('Escape'); await shot('p-client4');
  });
  await step('period', async () => {
    await page.goto(page.url().replace(/clients.*/, 'clients'));
    await maren.openClient('Kestrel Lane Cider Works'); await maren.hasChart();
    await page.click('button[popovertarget=period-panel]'); await maren.tabTo('From'); await page.keyboard.press('Home'); 
    await page.keyboard.down('Control'); await page.keyboard.press('a'); await page.keyboard.up('Control');
    await maren.type('march 25'); await maren.press('Tab'); await shot('p-period'); await maren.type('so'); await maren.press('Tab'); await shot('p-period2'); await maren.press('Escape'); await page.focus('[role=treegrid]');
  });
  await step('settings', async () => {
    await maren.goTo('1010'); await maren.press('Space'); await new Promise((r) => setTimeout(r, 600)); await shot('p-sheet');
    for (const id of ['set-currency', 'set-return-line']) { const f = await page.$('#' + id); if (f) { await f.scrollIntoView(); await f.focus(); await maren.type('e'); await shot('p-' + id); await maren.press('Escape'); } else console.log('no', id); }
  });
  console.log('complaints', JSON.stringify(maren.complaints));
} finally { await browser.close(); await application.stop(); }
