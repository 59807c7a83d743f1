import sharp from 'sharp';
import { Studio } from './server';
import { PHONE, WIDE, Visitor, launch } from './visitor';

const studio = new Studio(); await studio.start();
const browser = await launch();
async function montage(files: Buffer[]) {
  const metas = await Promise.all(files.map((f) => sharp(f).metadata()));
  const height = Math.max(...metas.map((m) => m.height ?? 0));
  let left = 0;
  const parts = files.map((input, i) => { const one = { input, left, top: 0 }; left += (metas[i].width ?? 0) + 10; return one; });
  await sharp({ create: { width: left, height, channels: 3, background: '#888' } }).composite(parts).png().toFile('/tmp/shot.png');
}
try {
  const v = await Visitor.open(browser, { ...PHONE, height: 1500 });
  const { page } = v;
  const shots: Buffer[] = [];
  const shot = async () => shots.push(Buffer.from(await page.screenshot()));
  const type = async (field: string, words: string) => {
    const el = await v.find(`reckon-${field}`);
    await el.click({ clickCount: 3 });
    await page.keyboard.type(words);
  };
  await page.goto(`${studio.address}/pieces?q=lamp`);
  await new Promise((r) => setTimeout(r, 1500));
  console.log(await page.evaluate(() => document.body.innerText.slice(0, 300)));
  await v.openPiece('Lamp panel').catch((e) => console.log(String(e)));
  await (await v.find('open-reckon')).click();
  await (await v.find('reckon-tab-grains')).click();
  await (await v.find('reckon-sizes')).click();
  await type('grains', '130');
  await new Promise((r) => setTimeout(r, 1000));
  await shot();
  await (await v.find('reckon-keep')).click();
  await (await v.find('fold-reckon-further')).click();
  await (await v.find('reckon-size-powder')).click();
  await (await v.find('reckon-wetness-wet')).click();
  await type('hole', '30');
  await type('holes', '4');
  await new Promise((r) => setTimeout(r, 1000));
  await shot();
  const w = await Visitor.open(browser, WIDE, 'dark');
  await w.page.goto(`${studio.address}/pieces`);
  await (await w.find('open-reckon')).click();
  await (await w.find('reckon-tab-grains')).click();
  await (await w.find('reckon-kept-row')).click();
  await new Promise((r) => setTimeout(r, 1500));
  shots.push(Buffer.from(await w.page.screenshot()));
  await montage(shots);
  console.log(v.troubles, (await page.evaluate(() => document.documentElement.scrollWidth)));
} catch (e) { console.log(e); } finally { await studio.stop(); await browser.close(); process.exit(0); }
