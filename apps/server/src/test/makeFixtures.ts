/** What many tests begin from, made once and copied by each: node makeFixtures.mjs <folder> <migrations>. */
import { cpSync } from 'node:fs';
import { join } from 'node:path';
import { addDemoPhotos } from '../opening/demoPhotos';
import { openDatabase } from '../opening/open';
import { seedDemo } from '../opening/seed';
import { NOW, TEN_YEARS_COUNT } from './fixtures';
import { fillTenYears } from './tenYears';

const [folder, migrations] = process.argv.slice(2);

const demo = join(folder, 'demo');
const seeded = openDatabase(demo, migrations);
seedDemo(seeded.db, NOW);
await seeded.closeWhole();

const pictured = join(folder, 'pictured');
cpSync(demo, pictured, { recursive: true });
const withPhotos = openDatabase(pictured, migrations);
await addDemoPhotos(withPhotos.db, pictured, NOW);
await withPhotos.closeWhole();

const tenYears = join(folder, 'tenYears');
cpSync(demo, tenYears, { recursive: true });
const filled = openDatabase(tenYears, migrations);
fillTenYears(filled.db, TEN_YEARS_COUNT, NOW);
await filled.closeWhole();
