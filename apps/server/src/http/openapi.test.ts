/** The OpenAPI document as others use it: by a linter, by a generated client, by people who read it. */
import { execFile } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { createConfig, lintFromString } from '@redocly/openapi-core';
import { KINDS, KIND_LIST, api, recordApi } from '@torvin/schema';
import { computeEndpoints, openApiDocument, typicalEndpoint } from '@torvin/schema/server';
import createClient from 'openapi-fetch';
import ts from 'typescript';
import type { z } from 'zod';
import { type TestServer, startTestServer } from '../test/testServer';

/** A JSON schema, an operation, or any part of the document. */
type Part = Record<string, unknown>;

let server: TestServer;
let document: Part & { paths: Record<string, Record<string, Part>>; components: { schemas: Record<string, Part> } };
beforeAll(async () => {
  server = await startTestServer();
  document = (await server.ask('GET', '/api/openapi.json')).body;
});
afterAll(() => server.stop());

const operations = (): [name: string, Part][] =>
  Object.entries(document.paths).flatMap(([path, methods]) =>
    Object.entries(methods).map(([method, operation]): [string, Part] => [`${method} ${path}`, operation]),
  );

/** Every schema of the document with where it stands. */
function* partsOf(value: unknown, path = ''): Generator<[string, Part]> {
  if (typeof value !== 'object' || value === null) return;
  if (!Array.isArray(value)) yield [path, value as Part];
  for (const [key, part] of Object.entries(value)) if (key !== 'examples' && key !== 'example') yield* partsOf(part, `${path}/${key}`);
}

test('whatever is read has an example of what it answers, which holds against what is promised', async () => {
  const endpoints = Object.entries<{ method: string; answer: z.ZodType }>({
    ...api,
    ...Object.fromEntries(
      KIND_LIST.flatMap((kind) => Object.entries(recordApi[kind]).map(([what, one]) => [`${kind}${what[0].toUpperCase()}${what.slice(1)}`, one])),
    ),
    computeTypical: typicalEndpoint,
  });
  const byId = new Map(operations().map(([, operation]) => [operation.operationId, operation]));
  for (const [operationId, { method, answer }] of endpoints) {
    if (method !== 'get') continue;
    const responses = byId.get(operationId)?.responses as Record<string, { content: Record<string, { examples?: Record<string, { value: unknown }> }> }>;
    const example = responses['200'].content['application/json'].examples?.demo.value;
    const read = answer.safeParse(example);
    expect([operationId, read.success ? 'holds' : read.error.issues[0]]).toEqual([operationId, 'holds']);
  }
});

test('it is what the tables say, every endpoint under its method', async () => {
  expect(document).toEqual(JSON.parse(JSON.stringify(openApiDocument('test', await computeEndpoints()))));
  const endpoints = [...Object.values(api), ...Object.values(recordApi).flatMap((kind) => Object.values(kind)), ...(await computeEndpoints())];
  for (const { path, method } of endpoints) expect(document.paths[path.replace(/:(\w+)/g, '{$1}')]).toHaveProperty(method);
});

test('a strict linter finds nothing', async () => {
  const config = await createConfig({
    extends: ['recommended-strict'],
    rules: { 'no-invalid-media-type-examples': 'error', 'no-unused-components': 'error' },
  });
  const problems = await lintFromString({ source: JSON.stringify(document), config });
  expect(problems.map(({ ruleId, message, location: [at] }) => `${ruleId}: ${message} ${at?.pointer}`)).toEqual([]);
});

test('the linter does find what is wrong', async () => {
  const config = await createConfig({ extends: ['recommended-strict'] });
  const wrong = { ...document, paths: { '/api/x/{id}': { get: { responses: { 200: {} } } } } };
  expect((await lintFromString({ source: JSON.stringify(wrong), config })).length).toBeGreaterThan(2);
});

test('nothing that is sent is said to be read only', () => {
  expect([...partsOf(document)].filter(([, part]) => 'readOnly' in part).map(([path]) => path)).toEqual([]);
});

test('every number says its unit', () => {
  const silent = [...partsOf(document)].filter(
    ([, { type, enum: choices, const: only }]) => /^(number|integer)$/.test(String(type)) && !choices && only === undefined,
  );
  expect(silent.length).toBeGreaterThan(200);
  expect(silent.filter(([, part]) => typeof part['x-unit'] !== 'string').map(([path]) => path)).toEqual([]);
});

/** A unit as a name ends in it: 'C', 'K', 'perPa', 'J_kgK', 'C_per_h'. */
const endingFor = (unit: string): string =>
  unit
    .replace('°', '')
    .replace('²', '2')
    .replace('³', '3')
    .replace(/[()·]/g, '')
    .replace('1/K3s', 'per_K3_s')
    .replace('1/s', 'per_s')
    .replace('1/m', 'perM')
    .replace(/^1\//, 'per')
    .replace(/\/(s|h)$/, '_per_$1')
    .replace('/', '_');

/** Counts and shares have no unit, nor has a logarithm; a time of the calendar ends in 'At'. */
const BARE = ['', '1', 'pixels', 'as unit says', 'ms since 1970, UTC'];
const LOGARITHMS = /\/(logEta|thresholds)(\/|$)/;

test('a figure, or what it stands in, ends in its unit', () => {
  const wrong = [...partsOf(document)].flatMap(([path, part]) => {
    const unit = part['x-unit'];
    if (typeof unit !== 'string' || BARE.includes(unit) || LOGARITHMS.test(path)) return [];
    const names = path.split('/').filter((name) => !/^(properties|items|anyOf|oneOf|allOf|\d+)$/.test(name));
    return names.some((name) => name.endsWith(endingFor(unit))) ? [] : [`${names.slice(-3).join('.')} [${unit}]`];
  });
  expect([...new Set(wrong)]).toEqual([]);
});

test('every operation has a name, a tag, a summary, an answer, and an example where it takes something', () => {
  expect(operations().length).toBeGreaterThan(70);
  const names = operations().map(([, { operationId }]) => operationId);
  expect(new Set(names).size).toBe(names.length);
  for (const [name, operation] of operations()) {
    expect([name, operation]).toEqual([
      name,
      expect.objectContaining({ tags: [expect.any(String)], summary: expect.any(String), operationId: expect.any(String) }),
    ]);
    const body = (operation.requestBody as { content: Record<string, Part> } | undefined)?.content['application/json'];
    if (body) expect([name, Object.keys(body.examples ?? {}).length > 0]).toEqual([name, true]);
  }
});

test('examples that make something are taken as they stand', async () => {
  const exampleOf = (method: string, path: string): Part => {
    const { content } = document.paths[path][method].requestBody as { content: Record<string, { examples: Record<string, { value: Part }> }> };
    return content['application/json'].examples.case1.value;
  };
  const made = ['/api/pieces', '/api/import'].map((path): [string, string, string] => ['post', path, path]);
  const kept = KIND_LIST.map((kind): [string, string, string] => [
    'put',
    `/api/${KINDS[kind].path}/{id}`,
    `/api/${KINDS[kind].path}/${String(exampleOf('put', `/api/${KINDS[kind].path}/{id}`).id)}`,
  ]);
  for (const [method, path, at] of [...made, ...kept, ['put', '/api/studio', '/api/studio']]) {
    const { status, body } = await server.ask(method.toUpperCase(), at, exampleOf(method, path));
    expect([at, status, body.message]).toEqual([at, 200, undefined]);
  }
});

test('requests and answers are named components', () => {
  for (const [name, operation] of operations()) {
    const { requestBody, responses } = operation as { requestBody?: { content: Part }; responses: Record<string, { content?: Part }> };
    for (const content of [requestBody?.content, responses[200].content]) {
      const schema = (content?.['application/json'] as { schema: Part } | undefined)?.schema;
      if (schema && schema.type !== 'array') expect([name, schema]).toEqual([name, { $ref: expect.stringMatching(/^#\/components\/schemas\/[A-Z]\w+$/) }]);
    }
  }
});

test.each([
  ['put', '/api/pieces/{id}', ['200', '401', '403', '404', '409', '412', '421', '422', 'default']],
  ['post', '/api/pieces/{id}/schedules', ['200', '401', '403', '404', '409', '412', '421', '422', '503', 'default']],
  ['put', '/api/kilns/{id}', ['200', '401', '403', '404', '409', '412', '421', '422', 'default']],
  ['post', '/api/compute/compose', ['200', '401', '403', '412', '421', '422', '503', 'default']],
  ['post', '/api/compute/flow', ['200', '401', '403', '412', '421', '422', 'default']],
  ['get', '/api/photos/{hash}', ['200', '401', '404', '421', 'default']],
])('%s %s tells of its answers %j', (method, path, codes) => {
  expect(Object.keys(document.paths[path][method].responses as Part)).toEqual(codes);
});

test('a conflict tells of what stands, a save of its key, a list of its queries', () => {
  const { responses, parameters } = document.paths['/api/pieces/{id}'].put as {
    responses: Record<string, { content: Record<string, { schema: Part }> }>;
    parameters: Part[];
  };
  expect(responses[409].content['application/json'].schema).toMatchObject({ properties: { current: { $ref: '#/components/schemas/Piece' } } });
  expect(parameters.map(({ name, in: place }) => `${String(place)} ${String(name)}`)).toEqual(['path id', 'header Idempotency-Key']);
  const queries = document.paths['/api/firings'].get.parameters as Part[];
  expect(queries.map(({ name }) => name)).toEqual(['text', 'look', 'result', 'kiln', 'piece', 'form', 'after']);
});

/** Beside this process, which goes on answering meanwhile. */
const tool = (name: string, args: string[]) => promisify(execFile)(process.execPath, [join(process.cwd(), 'node_modules', name), ...args]);

const CALLER = `
import createClient from 'openapi-fetch';
import type { paths } from './torvin';
export async function call(baseUrl: string): Promise<unknown[]> {
  const torvin = createClient<paths>({ baseUrl });
  const health = await torvin.GET('/api/health');
  const [first] = (await torvin.GET('/api/pieces')).data?.pieces ?? [];
  const piece = await torvin.GET('/api/pieces/{id}', { params: { path: { id: first.id } } });
  const page = await torvin.GET('/api/firings', { params: { query: { result: 'right' } } });
  const read = await torvin.POST('/api/compute/quantity', { body: { text: '12 in', kind: 'length' } });
  const refused = await torvin.PUT('/api/pieces/{id}', {
    params: { path: { id: first.id } },
    body: { version: first.version + 7, name: first.name, doc: piece.data!.doc },
  });
  return [health.data?.schema, piece.data?.name, page.data?.total, read.data?.value, refused.error && 'current' in refused.error && refused.error.current?.version];
}
`;

describe('a client generated from it', () => {
  let folder: string;
  beforeAll(async () => {
    mkdirSync(join(process.cwd(), '.check'), { recursive: true });
    folder = mkdtempSync(join(process.cwd(), '.check', 'client-'));
    writeFileSync(join(folder, 'torvin.json'), JSON.stringify(document));
    // What has a default may be left out.
    const options = ['--default-non-nullable=false', '--output', join(folder, 'torvin.ts')];
    await tool('openapi-typescript/bin/cli.js', [join(folder, 'torvin.json'), ...options]);
  });
  afterAll(() => rmSync(folder, { recursive: true, force: true }));

  /** What the type checker has against files of such code, in its words: a line each, with the file's name before it. */
  async function faultsOf(files: Record<string, string>): Promise<string[]> {
    const paths = Object.entries(files).map(([name, code]) => {
      const path = join(folder, name);
      writeFileSync(path, code);
      return path;
    });
    const options = ['--strict', '--noEmit', '--skipLibCheck', '--target', 'ES2022', '--module', 'ESNext', '--moduleResolution', 'Bundler'];
    const { stdout } = await tool('typescript/bin/tsc', [...paths, ...options, '--lib', 'es2022,dom,dom.iterable']).catch(
      (failed: { stdout: string }) => failed,
    );
    return stdout.split('\n').filter((line) => /error TS/.test(line));
  }

  test('fits its calls, and refuses one that is wrong', async () => {
    const wrong = CALLER.replace("kind: 'length'", "kind: 'colour'").replace('page.data?.total', 'page.data?.sum');
    const faults = await faultsOf({ 'right.ts': CALLER, 'wrong.ts': wrong });
    expect(faults.filter((line) => !line.includes('wrong.ts'))).toEqual([]);
    expect(faults.join(' ')).toMatch(/colour[^]*sum|sum[^]*colour/);
  });

  test('calls six routes of the running server', async () => {
    const { outputText } = ts.transpileModule(CALLER, { compilerOptions: { target: ts.ScriptTarget.ES2022, module: ts.ModuleKind.CommonJS } });
    const made: { call?: (base: string) => Promise<unknown[]> } = {};
    new Function('exports', 'require', outputText)(made, () => ({ __esModule: true, default: createClient }));
    const [schema, name, total, value, stands] = (await made.call?.(server.base)) ?? [];
    expect(schema).toBe(server.opened.schema);
    expect(name).toEqual(expect.any(String));
    expect(total).toBeGreaterThan(0);
    expect(value).toBeCloseTo(0.3048, 12);
    expect(stands).toEqual(expect.any(Number));
  });
});
