/** Every compute endpoint against requests that have been damaged somewhere: an answer or a problem, never a failure. */
import { CALLS, type EngineCall, QUANTITIES } from '@torvin/core/engine';
import { type CalculatorEndpoint, computeEndpoints } from '@torvin/schema/server';
import { ProblemError } from '@torvin/core/problem';
import { damaged, sequence } from '../test/damage';
import { type TestServer, startTestServer } from '../test/testServer';

let server: TestServer;
let endpoints: CalculatorEndpoint[];
beforeAll(async () => {
  endpoints = await computeEndpoints();
  server = await startTestServer();
});
afterAll(() => server.stop());

function endpointOf(call: EngineCall): CalculatorEndpoint {
  const endpoint = endpoints.find((one) => one.call === call);
  if (!endpoint) throw new Error(`No endpoint for ${call}.`);
  return endpoint;
}

const isLong = process.env.LONG === '1';
/** What is answered at once is asked more often. */
const roundsOf = (call: EngineCall): number => (!isLong ? 40 : call in QUANTITIES ? 5000 : 2000);

describe('damaged requests', () => {
  test.each(CALLS)('%s: what is whole is answered', async (call) => {
    const { path, cases } = endpointOf(call);
    for (const [title, whole] of Object.entries(cases)) {
      const { status, body: answer } = await server.ask('POST', path, whole);
      expect({ title, status, message: answer.message }).toEqual({ title, status: 200, message: undefined });
    }
  });

  test.each(CALLS.map((call) => [call, roundsOf(call)] as const))('%s answers %i with 200 or a problem at a field, never 5xx', async (call, rounds) => {
    const { path, cases, answer: schema } = endpointOf(call);
    const whole = Object.values(cases);
    const random = sequence(7);
    let refused = 0;
    for (let i = 0; i < rounds; i += 1) {
      const input = damaged(whole[i % whole.length], random);
      const { status, body: answer } = await server.ask('POST', path, input);
      if (status !== 200) refused += 1;
      if (![200, 422, 400].includes(status)) throw new Error(`${status} for ${JSON.stringify(input)}: ${JSON.stringify(answer)}`);
      if (status === 200) {
        // Numbers that are none travel as null, so the answer's schema finds them.
        const shape = schema.safeParse(answer);
        if (!shape.success) throw new Error(`${path} answered out of its schema for ${JSON.stringify(input)}: ${shape.error.message}`);
      }
      if (status === 422) {
        expect(answer.message).toMatch(/\S/);
        expect(typeof answer.path).toBe('string');
      }
    }
    expect(refused).toBeGreaterThan(rounds / 4);
  });
});

describe('random valid requests', () => {
  const triedOf = (call: EngineCall): number => (isLong ? 2000 : call in QUANTITIES ? 40 : 12);

  /** The same request with some of its figures moved, whole numbers to whole ones; the contract says whether it still holds. */
  function moved(value: unknown, share: number, random: () => number): unknown {
    if (typeof value === 'number') {
      if (random() > share) return value;
      // A little as often as a lot.
      const next = value * (random() < 0.5 ? 0.97 + 0.06 * random() : 0.5 + 1.2 * random());
      return Number.isInteger(value) ? Math.max(Math.round(next), Math.sign(value)) : next;
    }
    if (Array.isArray(value)) return value.map((one) => moved(one, share, random));
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, moved(one, share, random)]));
  }
  const countFigures = (value: unknown): number =>
    typeof value === 'number'
      ? 1
      : typeof value === 'object' && value !== null
        ? Object.values(value).reduce((sum: number, one) => sum + countFigures(one), 0)
        : 0;

  /** Paths of what is no number at all. */
  const strange = (value: unknown, path = ''): string[] =>
    typeof value === 'number'
      ? Number.isFinite(value)
        ? []
        : [path]
      : typeof value === 'object' && value !== null
        ? Object.entries(value).flatMap(([key, one]) => strange(one, `${path}.${key}`))
        : [];

  test.each(CALLS)('%s never answers NaN, Infinity or null where a number is promised', async (call) => {
    const { path, cases, request, answer: schema } = endpointOf(call);
    const whole = Object.values(cases);
    const random = sequence(23);
    let answered = 0;
    for (let i = 0; i < triedOf(call); i += 1) {
      // Three figures of it or so.
      const of = whole[i % whole.length];
      const wanted = moved(of, Math.min(3 / Math.max(countFigures(of), 1), 0.5), random);
      if (!request.safeParse(wanted).success) continue;
      // As the engine says it, before JSON makes null of what is no number.
      const outcome = await server.pool.run(call, request.parse(wanted) as never).catch((error: unknown) => {
        if (error instanceof ProblemError) return null;
        throw new Error(`${path} failed for ${JSON.stringify(wanted)}: ${String(error)}`);
      });
      const { status, body } = await server.ask('POST', path, wanted);
      expect([200, 422]).toContain(status);
      if (status === 422) continue;
      answered += 1;
      const shape = schema.safeParse(body);
      if (!shape.success) throw new Error(`${path} answered out of its schema for ${JSON.stringify(wanted)}: ${shape.error.message}`);
      if (outcome !== null) expect({ wanted, strange: strange(outcome) }).toEqual({ wanted, strange: [] });
    }
    expect(answered).toBeGreaterThan(0);
  });
});
