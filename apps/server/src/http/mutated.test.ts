/** Every compute endpoint against requests that have been damaged somewhere: an answer or a problem, never a failure. */
import { CALLS, type EngineCall } from '@torvin/core/engine';
import { type CalculatorEndpoint, computeEndpoints } from '@torvin/schema/server';
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

describe('damaged requests', () => {
  test.each(CALLS)('%s: what is whole is answered', async (call) => {
    const { path, cases } = endpointOf(call);
    for (const [title, whole] of Object.entries(cases)) {
      const { status, body: answer } = await server.ask('POST', path, whole);
      expect({ title, status, message: answer.message }).toEqual({ title, status: 200, message: undefined });
    }
  });

  test.each(CALLS)(`%s answers ${ROUNDS} with 200 or a problem at a field, never 5xx`, async (call) => {
    const { path, cases, answer: schema } = endpointOf(call);
    const whole = Object.values(cases);
    const random = sequence(7);
    let refused = 0;
    for (let i = 0; i < ROUNDS; i += 1) {
      const input = mutated(whole[i % whole.length], random);
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
    expect(refused).toBeGreaterThan(ROUNDS / 4);
  });
});
