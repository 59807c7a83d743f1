import { evenSheets } from '@torvin/core/body';
import { TYPICAL_FAMILIES } from '@torvin/core/glass';
import { TYPICAL_KILN } from '@torvin/core/kiln';
import { DEFAULT_LIMITS, DEFAULT_SCHOOL, type FiringCase, setUpOf } from '@torvin/core/schedule';
import { ENGINE_VERSION } from '@torvin/core/version';
import type { Snapshot } from '@torvin/schema';
import { glancesAt } from './glances';

const firing: FiringCase = {
  body: { glasses: [TYPICAL_FAMILIES[0]], layers: evenSheets([{ thickness_m: 0.003 }]), footprint: { shape: 'disc', diameter_m: 0.2 }, joined: false },
  setup: setUpOf({ kind: 'bareShelf', paper: false }),
  ...{ kiln: TYPICAL_KILN, look: 'fullFuse', school: DEFAULT_SCHOOL, limits: DEFAULT_LIMITS },
};
const snapshot = (more: Partial<Snapshot> = {}): Snapshot => ({
  ...{ firing, familyName: 'Soft sheet 90', kilnName: 'Low kiln', layers: [], engine: ENGINE_VERSION, setup: { kind: 'bareShelf', paper: false } },
  controller: { id: 'c', name: 'Grey box', source: '', version: 1, unit: 'C', fullSpeedCode: 4000, mostSegments: 8 },
  ...more,
});

test('asks for what every firing asks for, and for no more', () => {
  const { of, piece, kiln } = glancesAt(snapshot(), 'C');
  expect(of).toBe('glass');
  expect(piece).toEqual([expect.stringMatching(/marker ink.*fingerprint.*grinding/), expect.stringMatching(/lies as it was laid/)]);
  expect(kiln).toEqual([
    expect.stringMatching(/Room all round/),
    expect.stringMatching(/thermocouple/),
    expect.stringMatching(/Primer or paper/),
    expect.stringMatching(/Vent as it always is/),
  ]);
});

test('names the coated side of a layer, which way a solid lies, and how a form stands', () => {
  const layers = [{ name: 'Silvered', colour: '#ccc', thickness_m: 0.003, coated: 'down' as const }];
  const joined = { ...firing, body: { ...firing.body, joined: true } };
  const { piece, kiln } = glancesAt(snapshot({ layers, firing: joined, setup: { kind: 'inMould', paper: false } }), 'C');
  expect(piece).toContain('Silvered: its coated side is down.');
  expect(piece.at(-1)).toMatch(/Fire face up, shelf face down/);
  expect(kiln).toContain('The form stands level, its mark to the door.');
});

test('the vent is open while something leaves: until where, in the studio’s degrees', () => {
  const paper = { name: 'Thin paper', kind: 'paper', top_C: 800, pace_K_per_s: 0.05, paceTo_C: 350 } as const;
  const on = { ...firing, setup: setUpOf({ kind: 'raisedShelf', paper: false, coat: paper }) };
  const { kiln } = glancesAt(snapshot({ firing: on, setup: { kind: 'raisedShelf', paper: false } }), 'F');
  expect(kiln[0]).toMatch(/Posts/);
  expect(kiln).toContain('Thin paper is whole and dry where the glass will lie.');
  expect(kiln.at(-1)).toMatch(/near 662\s°F\./);
  // Paper of which no pace is known has a binder all the same.
  const { pace_K_per_s: _pace, paceTo_C: _to, name, ...coat } = paper;
  const madeFrom = { release: { id: 'p', name, coat } } as Snapshot['madeFrom'];
  expect(glancesAt(snapshot({ madeFrom }), 'C').kiln.at(-1)).toMatch(/Vent open until the binder has left, near 400/);
  expect(glancesAt(snapshot({ firing: { ...firing, setup: { ...firing.setup, wet: 'damp' } } }), 'C').kiln.at(-1)).toMatch(/steams or smokes/);
});

test('of a mould that is dried by itself it asks for no face and no primer', () => {
  const item: FiringCase = {
    ...firing,
    look: 'dryMould',
    body: { glasses: [], layers: [], footprint: { shape: 'rectangle', width_m: 0.2, length_m: 0.2 }, joined: true },
    setup: setUpOf({ kind: 'bareShelf', paper: false, wet: 'damp', shaping: { kind: 'ware', of: 'plaster', wall_m: 0.025, wide_m: 0.2, long_m: 0.2 } }),
  };
  const { of, piece, kiln } = glancesAt(snapshot({ firing: item }), 'C');
  expect(of).toBe('ware');
  expect([...piece, ...kiln].join(' ')).not.toMatch(/fingerprint|face|Primer|glass/);
  expect(piece.at(-1)).toMatch(/Weighed/);
});
