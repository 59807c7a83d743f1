import sharp from 'sharp';
import { Studio } from './server';
import { PHONE, Visitor, launch } from './visitor';

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
  await page.goto(`${studio.address}/pieces`);
  await v.openPiece('Sundial').catch(() => undefined);
  await v.find('journey-add');
  await (await v.find('open-reckon')).click();
  await type('c0.width', '8 x 25 x 4 cm');
  await (await v.find('reckon-c0.form-vTrough')).click();
  await type('c0.liner', '2');
  await (await v.find('fold-reckon-further')).click();
  await type('have', '700');
  await type('strip', '6');
  await new Promise((r) => setTimeout(r, 1000));
  await shot();
  await (await v.find('reckon-keep')).click();
  await (await v.find('reckon-put')).click();
  await new Promise((r) => setTimeout(r, 1500));
  await shot();
  await (await v.find('open-reckon')).click();
  await (await v.find('reckon-tab-fill')).click();
  await (await v.find('reckon-form-ring')).click();
  await type('diameter', '22 cm');
  await type('inner', '14 cm');
  await type('depth', '30');
  await type('liner', '3');
  await type('mass', '1200');
  await (await v.find('reckon-loose')).click();
  await (await v.find('fold-reckon-further')).click();
  await (await v.find('reckon-heat-fullFuse')).click();
  await new Promise((r) => setTimeout(r, 1000));
  await shot();
  await (await v.find('reckon-put')).click();
  await new Promise((r) => setTimeout(r, 1500));
  await shot();
  await montage(shots);
  console.log(v.troubles, (await page.evaluate(() => document.documentElement.scrollWidth)));
} catch (e) { console.log(e); } finally { await studio.stop(); await browser.close(); process.exit(0); }
