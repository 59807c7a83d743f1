import { openApiDocument } from '@torvin/schema/server';
import { apiDigest } from './apiDigest';

const document = (): Record<string, unknown> => JSON.parse(JSON.stringify(openApiDocument('1.2.3', []))) as Record<string, unknown>;
const changed = (from: RegExp, to: string): string => {
  const written = JSON.stringify(document());
  const next = written.replace(from, to);
  expect(next === written).toBe(false);
  return apiDigest(JSON.parse(next) as object);
};

test('it stays while only words, examples and the version change', () => {
  expect(apiDigest()).toMatch(/^[0-9a-f]{12}$/);
  expect(apiDigest(document())).toBe(apiDigest());
  expect(changed(/"summary":"Whether the server is up/, '"summary":"Up or not')).toBe(apiDigest());
  expect(changed(/"description":"Done"/g, '"description":"It is done"')).toBe(apiDigest());
});

test('a renamed property, a path, a bound or a unit is another API', () => {
  const others = [
    changed(/"asks"/g, '"wants"'),
    changed(/"\/api\/studio"/, '"/api/workshop"'),
    changed(/"maximum":\d+/, '"maximum":7'),
    changed(/"x-unit":"m"/, '"x-unit":"mm"'),
  ];
  expect(new Set([apiDigest(), ...others]).size).toBe(5);
});
