import { type Asked, CALCULATORS, type EngineCall, createEngine } from '@torvin/core/engine';
import { type CalculatorEndpoint, typicalEndpoint } from '@torvin/schema/server';
import type { Works } from '../route';
import { typical } from '../typical';

/** Every calculator there is. Light ones are answered here, the others wait for the engine. */
export function computeRoutes({ route, pool }: Works, calculators: readonly CalculatorEndpoint[]): void {
  const engine = createEngine();
  route(typicalEndpoint, typical);
  for (const endpoint of calculators) {
    const { call } = endpoint;
    // What the request was held to is what this calculator takes; one table says both.
    const ask = (input: unknown) => input as Asked<EngineCall>;
    route(endpoint, (input) => (CALCULATORS[call].light ? engine.call(call, ask(input)) : pool.run(call, ask(input))));
  }
}
