/** Every compute endpoint against requests that have been damaged somewhere: an answer or a problem, never a failure. */
import { CALLS, type EngineCall, QUANTITIES } from '@torvin/core/engine';
import { type CalculatorEndpoint, computeEndpoints } from '@torvin/schema/server';
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
