import { USUAL_CLEARANCES } from '@torvin/core/kiln';
import { arranged } from '@torvin/core/load';
import { METRIC } from '@torvin/core/units';
import type { ForKiln } from '@torvin/schema';
import { composedLoad } from '../../../../packages/core/src/calculators/load';
import { rememberingSimulator } from '../../../../packages/core/src/heat/joints';
import { laid } from '../../../../packages/core/src/load/load.testCases';
import { paperPages } from '@/paper/paperPages';
import { loadPaper } from './loadPaper';

const KILN = { insideWidth_m: 0.4, insideLength_m: 0.4 };
const firings = [laid(2, 3, 100), laid(2, 3, 300)].map((firing) => ({ ...firing, kiln: { ...firing.kiln, ...KILN } }));
const names = ['Tile <1>', 'Plate'];
const pieces = names.map((pieceName, i): ForKiln => ({
  ...{
    pieceId: String(i),
    pieceName,
    stepId: 's',
    look: 'fullFuse',
    kilnId: 'k',
    scheduleId: String(i),
    familyId: null,
    damp: false,
    dueOn: null,
    total_s: 40000,
  },
}));

test('a load on paper has its rows, who sets them, its pieces, where they lie and what finds no room', () => {
  const load = composedLoad.compute({ entries: firings.map((firing, i) => ({ name: names[i], firing })) }, rememberingSimulator());
  const places = arranged(
    load.entries.map(({ outline }) => outline),
    load.room!,
  );
  expect(places.left).toEqual([0]);
  const printed = { load, pieces, room: load.room, clear: USUAL_CLEARANCES, kilnName: 'Low kiln', units: METRIC };
  const svg = paperPages(loadPaper({ ...printed, places }, Date.UTC(2026, 11, 2)), 'One load').join('');
  const words = svg.replace(/<[^>]+>/g, ' ').replace(/\s+/g, ' ');
  expect(words).toMatch(/One load.*Low kiln, \d+ h \d\d, as calculated 2 Dec 2026/);
  expect(words).toMatch(/Warm up \d+ °C\/h to \d+ °C Plate sets the rate\./);
  expect(words).toMatch(/1 Tile &lt;1&gt; 150 g Full fuse, \d+ h \d\d by itself/);
  expect(words).toMatch(/No room for Tile &lt;1&gt; on one shelf\..*Shelf 1 from below 2 Seen from above/);
  // As far down the page as its outline asks for.
  expect(svg.match(/<rect[^>]* width="/g)!.length).toBeGreaterThanOrEqual(2);
  // On two shelves posts stand on the lower one, four of them.
  const onTwo = arranged(
    load.entries.map(({ outline }) => outline),
    load.room!,
    2,
  );
  const filled = (page: string): number => page.match(/fill="black"/g)?.length ?? 0;
  const two = paperPages(loadPaper({ ...printed, places: onTwo }, Date.UTC(2026, 11, 2)), 'One load').join('');
  expect(filled(two) - filled(svg)).toBe(4);
});
