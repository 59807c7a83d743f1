import { TYPICAL_FAMILIES } from '@torvin/core/glass';
import { BARE_SHELF } from '@torvin/core/schedule';
import { GlassConstantsSchema } from '@torvin/core/contract';
import { v7 as uuid } from 'uuid';
import { Busy, computePool } from '../compute/pool';
import { type TestServer, startTestServer, workerUrl } from '../test/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const glass = GlassConstantsSchema.strip().parse(TYPICAL_FAMILIES[0]);
const kiln = { top_C: 900, power_K_per_s: 0.2, loss_per_s: 5e-5, radiantLoss_per_K3_s: 5.6e-14, ambient_C: 20, acrossLag_s_per_300mm: 72 };
const sheet = (thickness_m: number) => ({ form: 'sheet', glass: 0, thickness_m });
const body = { glasses: [glass], layers: [sheet(0.003), sheet(0.004)], footprint: { shape: 'disc', diameter_m: 0.18 } };
const simulation = {
  glass,
  stack: [{ of: 'glass', thickness_m: 0.025 }],
  faces: { top: { kind: 'open', emissivity: 0, convection_W_m2K: 1e6 }, bottom: { kind: 'insulated' } },
  segments: [{ rate_C_per_h: 60, target_C: 400, hold_s: 0 }],
  start_C: 20,
};
const composition = { body: { ...body, joined: false }, setup: BARE_SHELF, kiln, look: 'fullFuse' };

describe('the compute API on cases sent by someone else', () => {
  test.each([
    [{ text: '1 1/4"', kind: 'length' }, 0.03175, 'm'],
    [{ text: '1.200,5 mm', kind: 'length', locale: 'de' }, 1.2005, 'm'],
    [{ text: '2 lb 3 oz', kind: 'mass' }, 0.99223, 'kg'],
    [{ text: '1390F', kind: 'temperature' }, 754.444, '°C'],
    [{ text: '9', kind: 'difference', bare: { temperature: 'F' } }, 5, 'K'],
    [{ text: '1:30', kind: 'time' }, 5400, 's'],
    [{ text: '90e-7', kind: 'expansion' }, 9e-6, '1/K'],
  ])('reads %j', async (request, value, unit) => {
    const { status, body: answer } = await server.ask('POST', '/api/compute/quantity', request);
    expect(status).toBe(200);
    expect(answer.unit).toBe(unit);
    expect(answer.value / value).toBeCloseTo(1, 5);
  });

  test('a ladder of five trials that are measured finds a threshold within 5 °C, asked for one after the other', async () => {
    const truth = 633;
    const asked = { glass, factor: 'temperature', from: 560, to: 720, exact: true };
    const trials: { value: number; outcome: string }[] = [];
    for (let i = 0; i < 5; i += 1) {
      const { next } = (await server.ask('POST', '/api/compute/ladder', { ...asked, trials })).body;
      trials.push({ value: next, outcome: next < truth ? 'short' : 'past' });
    }
    const { next, range } = (await server.ask('POST', '/api/compute/ladder', { ...asked, trials })).body;
    expect(next).toBeNull();
    expect(Math.abs((range[0] + range[1]) / 2 - truth)).toBeLessThan(5);
    const { status, body: refused } = await server.ask('POST', '/api/compute/ladder', { ...asked, trials: [...trials, { value: 700, outcome: 'short' }] });
    expect(status).toBe(422);
    expect(refused).toMatchObject({ code: 'impossible', path: 'trials' });
  });

  test('full speed is a rate without a number', async () => {
    expect((await server.ask('POST', '/api/compute/quantity', { text: 'full', kind: 'rate' })).body).toEqual({ value: null, unit: '°C/h' });
  });

  test.each([
    [{ text: 'wide', kind: 'length' }, 'text', 'unreadable'],
    [{ text: '1,200', kind: 'length' }, 'text', 'ambiguous'],
    [{ text: '5', kind: 'colour' }, 'kind', 'not-a-choice'],
    [{ text: '5', kind: 'length', locale: '!!' }, 'locale', 'invalid'],
  ])('refuses %j', async (request, path, code) => {
    const { status, body: answer } = await server.ask('POST', '/api/compute/quantity', request);
    expect(status).toBe(422);
    expect(answer).toMatchObject({ path, code });
  });

  test('weighs a disc of radius 90 mm, 7 mm deep, as 445 g', async () => {
    const { body: answer } = await server.ask('POST', '/api/compute/body', body);
    expect(answer.mass_kg).toBeCloseTo(0.4453, 4);
    expect(answer.afterFiring.tendency).toBe('stays');
  });

  test('simulates the steady lag RL²/2κ of a slab with one face open', async () => {
    const { body: answer } = await server.ask('POST', '/api/compute/simulate', simulation);
    const kappa = 1.2 / (2500 * 1100);
    expect(Math.abs(answer.segments[0].deltaT_end_K / (((60 / 3600) * 0.025 ** 2) / (2 * kappa)) - 1)).toBeLessThan(0.01);
    expect(answer.series).toBeUndefined();
  });

  test('tells the residual stress, free to bow, that balances over the depth', async () => {
    const cooling = {
      ...simulation,
      start_C: 560,
      segments: [
        { rate_C_per_h: 13, target_C: 380, hold_s: 0 },
        { rate_C_per_h: 26, target_C: 30, hold_s: 0 },
      ],
    };
    const { body: answer } = await server.ask('POST', '/api/compute/simulate', { ...cooling, stress: { support: 'free' } });
    const stresses: number[] = answer.residual.map(({ stress_Pa }: { stress_Pa: number }) => stress_Pa);
    expect(answer.residual[0].z_m).toBe(0);
    expect(answer.residual.at(-1).z_m).toBeCloseTo(0.025, 12);
    expect(Math.max(...stresses) / 1e6).toBeCloseTo(0.28, 1);
    const { body: refused } = await server.ask('POST', '/api/compute/simulate', { ...cooling, stress: { support: 'hung' } });
    expect(refused).toMatchObject({ path: 'stress.support', code: 'not-a-choice' });
  });

  test('composes a schedule that says why, what limits it and by what margin', async () => {
    const { body: answer } = await server.ask('POST', '/api/compute/compose', composition);
    expect(answer.converged).toBe(true);
    expect(answer.evaluations).toBeGreaterThan(1);
    expect(answer.segments).toHaveLength(7);
    for (const segment of answer.segments) {
      expect(segment.why.length).toBeGreaterThan(5);
      expect(segment.limitedBy).not.toBeNull();
      expect(segment.margin).toBeGreaterThanOrEqual(-0.001);
    }
  });

  test('takes limits in part, and they count', async () => {
    const strict = { ...composition, limits: { setting_K: 2.5 } };
    const [usual, slow] = await Promise.all([server.ask('POST', '/api/compute/compose', composition), server.ask('POST', '/api/compute/compose', strict)]);
    const firstCool = (answer: { segments: { role: string; rate_C_per_h: number }[] }): number =>
      answer.segments.find(({ role }) => role === 'firstCool')?.rate_C_per_h ?? 0;
    expect(firstCool(slow.body) / firstCool(usual.body)).toBeLessThan(0.6);
  });

  test('composes from what it ships as typical, put together by someone else', async () => {
    const { body: typical } = await server.ask('GET', '/api/compute/typical');
    expect(Object.keys(typical.glasses).length).toBeGreaterThanOrEqual(7);
    expect(typical.looks.potMelt).toMatchObject({ asks: 'drain', looksLike: { right: expect.stringMatching(/level disc/) } });
    for (const [kind, { onPaper }] of Object.entries<{ onPaper: object }>(typical.setups)) {
      const [, { glass: soft96 }] = Object.values<{ glass: object }>(typical.glasses);
      const { kiln } = typical.kilns.typical;
      const { controller } = typical.controllers['hour-box'];
      const request = {
        ...composition,
        body: { ...body, glasses: [soft96] },
        kiln,
        controller,
        setup: onPaper,
        limits: typical.limits,
        school: typical.school,
      };
      const { status, body: answer } = await server.ask('POST', '/api/compute/compose', request);
      expect({ kind, status, converged: answer.converged }).toEqual({ kind, status: 200, converged: true });
    }
  });

  test('every glass and every controller of what ships is taken as it stands there', async () => {
    const { body: typical } = await server.ask('GET', '/api/compute/typical');
    const { kiln } = typical.kilns.typical;
    for (const { glass: one } of Object.values<{ glass: object }>(typical.glasses))
      expect((await server.ask('POST', '/api/compute/body', { ...body, glasses: [one] })).status).toBe(200);
    for (const { controller } of Object.values<{ controller: object }>(typical.controllers))
      expect((await server.ask('POST', '/api/compute/compose', { ...composition, kiln, controller })).status).toBe(200);
  });

  test('a kiln or the kind of a form that is missing is told in words', async () => {
    const { kiln: _kiln, ...without } = composition;
    expect((await server.ask('POST', '/api/compute/compose', without)).body).toMatchObject({
      path: 'kiln',
      message: "'kiln' is missing: it must be an object.",
    });
    const bent = { ...composition, setup: { ...composition.setup, shaping: { depth_m: 0.02 } } };
    expect((await server.ask('POST', '/api/compute/compose', bent)).body.message).toMatch(/^'kind' is missing: it must be hollow, /);
  });

  test('tells of a lay-up which glasses touch, and of its coated sheets how they lie', async () => {
    const coated = { ...body, glasses: [glass, glass], layers: [sheet(0.003), { ...sheet(0.003), glass: 1, coated: 'up' }] };
    const { body: answer } = await server.ask('POST', '/api/compute/body', coated);
    expect(answer.contacts).toEqual([{ lower: 0, upper: 1, lower_m: 0.003, upper_m: 0.003 }]);
    expect(answer.coatings).toEqual([{ layer: 1, state: 'bare', message: expect.stringMatching(/may lift/) }]);
    const { body: fitted } = await server.ask('POST', '/api/compute/fit', { glasses: coated.glasses, contacts: answer.contacts, evidence: [] });
    expect(fitted).toMatchObject({ verdict: 'likely', basis: 'estimate' });
  });

  test.each([-1, 0.5, 7])('refuses a layer of glass number %d, which is not in the list', async (number) => {
    const { status, body: answer } = await server.ask('POST', '/api/compute/body', { ...body, layers: [{ ...sheet(0.003), glass: number }, sheet(0.003)] });
    expect({ status, path: answer.path }).toEqual({ status: 422, path: number === 7 ? 'glasses' : 'layers.0.glass' });
  });

  test('holds any schedule against every limit, in words with figures', async () => {
    const segments = [
      { rate_C_per_h: 300, target_C: 800, hold_s: 600 },
      { rate_C_per_h: null, target_C: 300, hold_s: 0 },
      { rate_C_per_h: null, target_C: 150, hold_s: 0 },
    ];
    const { body: answer } = await server.ask('POST', '/api/compute/check', { ...composition, segments });
    expect(answer.ok).toBe(false);
    expect(answer.broken.map(({ limit }: { limit: string }) => limit)).toEqual(expect.arrayContaining(['soakTime', 'setting', 'opening']));
    for (const { message, value, allowed } of answer.broken) {
      expect(message).toMatch(/\.$/);
      expect(value).not.toBe(allowed);
    }
  });

  test('says so when the glass asks for more than the kiln', async () => {
    const { status, body: answer } = await server.ask('POST', '/api/compute/compose', { ...composition, kiln: { ...kiln, top_C: 700 } });
    expect(status).toBe(422);
    expect(answer).toMatchObject({ code: 'above-kiln-top', path: 'kiln.top_C' });
  });

  test('simulates the steady lag Rd²/24κ of a sphere', async () => {
    const { body: answer } = await server.ask('POST', '/api/compute/simulate', { ...simulation, shape: 'sphere' });
    const kappa = 1.2 / (2500 * 1100);
    expect(Math.abs(answer.segments[0].deltaT_end_K / (((60 / 3600) * 0.05 ** 2) / (24 * kappa)) - 1)).toBeLessThan(0.01);
  });

  test.each([
    ['simulate', { ...simulation, shape: 'sphere', faces: { ...simulation.faces, bottom: simulation.faces.top } }, 'faces.bottom', /middle/],
    ['simulate', { ...simulation, shape: 'cylinder', stress: { support: 'flat' } }, 'stress.support', /held flat/],
    ['simulate', { ...simulation, columns: { thick_m: 0.006, thin_m: 0.012, apart_m: 0.05 } }, 'columns.thin_m', /not be thicker/],
    ['compose', { ...composition, kiln: { ...kiln, wallOverChamber: 2 } }, 'kiln.wallOverChamber', /both or neither/],
    ['body', { ...body, layers: [sheet(0.4)] }, 'layers.0.thickness_m', /0\.0005 to 0\.1 m; got 0\.4/],
    ['body', { ...body, glasses: [{ ...glass, softening_C: 520 }] }, 'glasses.0.softening_C', /40 °C \(72 °F\) above/],
    ['simulate', { ...simulation, stack: [] }, 'stack', /./],
    ['simulate', { ...simulation, segments: [{ rate_C_per_h: null, target_C: 400, hold_s: 0 }] }, 'kiln', /full speed/],
    ['simulate', { ...simulation, segments: [{ rate_C_per_h: 60, target_C: 4000, hold_s: 0 }] }, 'segments.0.target_C', /0 to 1700 °C; got 4000/],
    ['compose', { ...composition, look: 'pot' }, 'look', /fullFuse/],
    ['compose', { ...composition, kiln: { ...kiln, top_C: 'hot' } }, 'kiln.top_C', /got "hot"/],
  ])('%s refuses nonsense with the field, the value and the range', async (path, input, field, message) => {
    const { status, body: answer } = await server.ask('POST', `/api/compute/${path}`, input);
    expect(status).toBe(422);
    expect(answer.path).toBe(field);
    expect(answer.message).toMatch(message);
  });
});

const SAVES = process.env.LONG === '1' ? 23 : 6;

describe('the engine thread', () => {
  test('refuses more than it can queue, and works on', async () => {
    const results = await Promise.allSettled(
      Array.from({ length: 30 }, () => server.pool.run('simulate', { ...simulation, segments: [...simulation.segments] } as never)),
    );
    const refused = results.filter((result) => result.status === 'rejected');
    expect(refused.length).toBeGreaterThan(0);
    expect((refused[0] as PromiseRejectedResult).reason).toBeInstanceOf(Busy);
    expect(results.some((result) => result.status === 'fulfilled')).toBe(true);
    expect((await server.ask('POST', '/api/compute/simulate', simulation)).status).toBe(200);
  });

  test('computes for strangers apart: thirty of them are in the way of no save', async () => {
    const others = computePool(workerUrl());
    const studio = await startTestServer(undefined, others);
    try {
      const [piece] = await studio.pieces();
      const { body: versions } = await studio.ask('GET', `/api/pieces/${piece.id}/schedules`);
      const { body: schedule } = await studio.ask('GET', `/api/schedules/${versions[0].id}`);
      let over = false;
      const strangers = Array.from({ length: 30 }, async () => {
        const statuses = new Set<number>();
        while (!over) statuses.add((await studio.ask('POST', '/api/compute/compose', composition)).status);
        return statuses;
      });
      let pieceVersion = (await studio.ask('GET', `/api/pieces/${piece.id}`)).body.version as number;
      for (let save = 0; save < SAVES; save += 1) {
        const wanted = { id: uuid(), stepId: schedule.stepId, pieceVersion, parentId: schedule.id, origin: 'edited', segments: schedule.segments };
        const { status, body } = await studio.ask('POST', `/api/pieces/${piece.id}/schedules`, wanted);
        expect([save, status]).toEqual([save, 200]);
        pieceVersion = body.piece.version;
        expect((await studio.ask('GET', '/api/bench')).status).toBe(200);
      }
      over = true;
      const seen = new Set((await Promise.all(strangers)).flatMap((statuses) => [...statuses]));
      expect([...seen].sort()).toEqual([200, 503]);
    } finally {
      await studio.stop();
      await others.close();
    }
  });

  test('answers 503 with Retry-After over HTTP', async () => {
    const answers = await Promise.all(Array.from({ length: 30 }, () => server.ask('POST', '/api/compute/compose', composition)));
    const busy = answers.find(({ status }) => status === 503);
    expect(busy?.headers.get('retry-after')).toBe('2');
    expect(busy?.body.code).toBe('busy');
  });
});
