/** Every compute endpoint against requests that have been damaged somewhere: an answer or a problem, never a failure. */
import { SETUPS, TYPICAL_FAMILIES } from '@torvin/core';
import { GlassConstantsSchema } from '@torvin/schema';
import { computeApi } from '@torvin/schema/server';
import type { z } from 'zod';
import { type TestServer, startTestServer } from '../test/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const relaxation = {
  stress: [{ weight: 1, ratio: 1 }],
  structure: [
    { weight: 0.5, ratio: 0.5 },
    { weight: 0.5, ratio: 1.5 },
  ],
  structureOverStress: 9,
  nonLinearity: 0.5,
  activation_K: 76000,
};
const glass = {
  ...GlassConstantsSchema.strip().parse(TYPICAL_FAMILIES[0]),
  strain_C: 488,
  meltExpansion_perK: 27e-6,
  stressOptical_perPa: 2.7e-12,
  haze: { middle_C: 720, halfWidth_K: 40 },
  relaxation,
};
const kiln = { top_C: 900, power_K_per_s: 0.2, loss_per_s: 5e-5, radiantLoss_per_K3_s: 5.6e-14, ambient_C: 20, acrossLag_s_per_300mm: 72 };
const outline = [
  [0, 0],
  [0.2, 0],
  [0.2, 0.15],
  [0, 0.2],
];
const body = {
  glasses: [glass, { ...glass, expansion_perK: 9.1e-6 }],
  layers: [
    { form: 'sheet', glass: 0, thickness_m: 0.003, coated: 'up' },
    { form: 'cap', glass: 0, thickness_m: 0.003, overhang_m: 0.004 },
    { form: 'rod', glass: 1, diameter_m: 0.005, cover: 0.3 },
    { form: 'frit', glass: 1, perArea_kg_m2: 0.5, grain_m: 0.002, cover: 0.5 },
  ],
  parts: [{ glass: 1, thickness_m: 0.003, area_m2: 4e-4, count: 5 }],
  footprint: { shape: 'polygon', corners_m: outline },
  dammed: false,
};
const open = { kind: 'open', emissivity: 0.9, convection_W_m2K: 5 };
const simulation = {
  glass,
  stack: [
    { of: 'support', thickness_m: 0.016, conductivity_W_mK: 1.5, density_kg_m3: 2000, heatCapacity_J_kgK: 1050 },
    { of: 'glass', thickness_m: 0.006 },
  ],
  faces: { top: open, bottom: open },
  segments: [
    { rate_C_per_h: 300, target_C: 780, hold_s: 300 },
    { rate_C_per_h: null, target_C: 515, hold_s: 600 },
    { rate_C_per_h: 100, target_C: 300, hold_s: 0 },
  ],
  kiln,
  acrossLag_s: 40,
  relief: { width_m: 0.02 },
  stress: { support: 'both', from: 'start' },
  series: true,
};
const curve = { t_s: [0, 3600, 7200, 12000], kiln_C: [20, 500, 520, 300], joints_s: [3600, 7200] };
const composition = {
  body: { ...body, joined: false },
  setup: { ...SETUPS.inMould, shaping: { kind: 'hollow', span_m: 0.3, depth_m: 0.04 } },
  kiln,
  look: 'contour',
  school: { soak: 'auto', heat: 'hotter' },
  limits: { residual_Pa: 1e6, pocket: { radius_m: 0.02, gap_m: 0.001 } },
  controller: { unit: 'F', fullSpeedCode: 7200, mostSegments: 6 },
  corrections: { offset_K: 4, workFactor: 1.1 },
};
const readings = Array.from({ length: 20 }, (_, i) => ({ t_s: i * 600, kiln_C: i < 10 ? 20 + i * 70 : 650 * 0.9 ** (i - 9), power: i < 10 ? 1 : 0 }));
const couples = Array.from({ length: 12 }, (_, i) => ({ t_s: i * 600, first_C: 515 - i * 4, second_C: 512 - i * 4 }));

const VALID: Record<string, unknown[]> = {
  '/api/compute/quantity': [{ text: '12 in', kind: 'length', locale: 'en', bare: { length: 'mm' } }],
  '/api/compute/body': [
    body,
    {
      glasses: [glass],
      layers: [],
      casting: { glass: 0, volume_m3: 1e-3, thickest_m: 0.04, thinnest_m: 0.01 },
      footprint: { shape: 'disc', diameter_m: 0.18 },
    },
  ],
  '/api/compute/fit': [
    {
      glasses: [
        { ...glass, contents: ['copper'] },
        { ...glass, expansion_perK: 9.3e-6, contents: ['sulphur'] },
      ],
      contacts: [{ lower: 0, upper: 1, lower_m: 0.003, upper_m: 0.004 }],
      evidence: [{ a: 0, b: 1, kind: 'ownTest', result: 'strained' }],
    },
  ],
  '/api/compute/flow': [
    { glass, question: { of: 'sag', span_m: 0.3, sheet_m: 0.006, work_perPa: 1e-5, mould_m: 0.05, stretching: 0.35 } },
    { glass, question: { of: 'pressed', radius_m: 0.05, depth_m: 0.006, force_N: 50, work_perPa: 1e-3 } },
    { glass, question: { of: 'relief', width_m: 0.025, depth_m: 0.006, work_perPa: 1e-2, base: 'slides' } },
  ],
  '/api/compute/release': [{ glass, material: 'stainless', size_m: 0.2, kind: 'hollow' }],
  '/api/compute/polariser': [
    {
      view: 'edgeOn',
      glass,
      residual: [
        { z_m: 0, stress_Pa: -1e6 },
        { z_m: 0.01, stress_Pa: 5e5 },
      ],
      path_m: 0.1,
    },
    { view: 'through', glass, layers: [{ depth_m: 0.1, first_Pa: 1e6, second_Pa: 0 }] },
  ],
  '/api/compute/simulate': [
    simulation,
    { ...simulation, segments: [], curve },
    { ...simulation, stack: [{ of: 'glass', thickness_m: 0.02 }], shape: 'sphere', stress: undefined, faces: { top: open, bottom: { kind: 'insulated' } } },
  ],
  '/api/compute/compose': [composition, { ...composition, look: 'slump' }],
  '/api/compute/check': [
    {
      ...composition,
      segments: [
        { rate_C_per_h: 200, target_C: 780, hold_s: 600 },
        { rate_C_per_h: null, target_C: 515, hold_s: 3600, role: 'drop' },
        { rate_C_per_h: 80, target_C: 60, hold_s: 0 },
      ],
    },
  ],
  '/api/compute/kiln-fit': [{ readings, ambient_C: 20 }],
  '/api/compute/spread-fit': [{ readings: couples, limit_K: 5 }],
  '/api/compute/corrections': [
    { glass, seen: [{ work: 2e-2, least: 1.6e-2, most: 4.6e-2, work_C: 800, outcome: 'short' }], witnesses: [{ offset_K: 5, error_K: 2 }] },
  ],
};

/** A fixed sequence, so that the same run mutates the same way. */
function sequence(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1103515245 + 12345) % 2147483648;
    return state / 2147483648;
  };
}

const NONSENSE = [null, -1, 0, 1, 1e308, 'x', [], {}, true, '', -0, 1e-300, 0.5, 100, 1e-6];

/** Replaces one leaf or branch somewhere in a JSON value. */
function mutated(value: unknown, random: () => number): unknown {
  if (typeof value !== 'object' || value === null || random() < 0.15) return NONSENSE[Math.floor(random() * NONSENSE.length)];
  const keys = Object.keys(value);
  const key = keys[Math.floor(random() * keys.length)];
  const copy: Record<string, unknown> = Array.isArray(value) ? ([...value] as unknown as Record<string, unknown>) : { ...value };
  if (random() < 0.1) delete copy[key];
  else copy[key] = mutated(copy[key], random);
  return copy;
}

const ROUNDS = process.env.LONG === '1' ? 2000 : 200;

/** Numbers that are none travel as null, so the answer's schema finds them. */
function answerOf(path: string): z.ZodType {
  const endpoint = Object.values(computeApi).find((one) => one.path === path);
  if (!endpoint) throw new Error(`No endpoint ${path}.`);
  return endpoint.answer;
}

describe('mutated requests', () => {
  test('are tried on every compute endpoint there is', () => {
    const paths = Object.values(computeApi)
      .filter(({ method }) => method === 'post')
      .map(({ path }) => path)
      .filter((path) => path.startsWith('/api/compute/'));
    expect(Object.keys(VALID).sort()).toEqual(paths.sort());
  });

  test.each(Object.entries(VALID))('%s: what is whole is answered', async (path, inputs) => {
    for (const input of inputs) {
      const { status, body: answer } = await server.ask('POST', path, input);
      expect({ status, message: answer.message }).toEqual({ status: 200, message: undefined });
    }
  });

  test.each(Object.entries(VALID))(`%s answers ${ROUNDS} with 200 or a problem at a field, never 5xx`, async (path, inputs) => {
    const random = sequence(7);
    let refused = 0;
    for (let i = 0; i < ROUNDS; i += 1) {
      const input = mutated(inputs[i % inputs.length], random);
      const { status, body: answer } = await server.ask('POST', path, input);
      if (status !== 200) refused += 1;
      if (![200, 422, 400].includes(status)) throw new Error(`${status} for ${JSON.stringify(input)}: ${JSON.stringify(answer)}`);
      if (status === 200) {
        const shape = answerOf(path).safeParse(answer);
        if (!shape.success) throw new Error(`${path} answered out of its schema for ${JSON.stringify(input)}: ${shape.error.message}`);
      }
      if (status === 422) {
        expect(answer.message).toMatch(/\S/);
        expect(typeof answer.path).toBe('string');
      }
    }
    expect(refused).toBeGreaterThan(ROUNDS / 4);
  });
});
