/** Writes the OpenAPI document from the tables of endpoints: documents, records, calculators, pictures. */
import { ProblemSchema } from '@torvin/core/contract';
import { z } from 'zod';
import { type ZodOpenApiOperationObject, type ZodOpenApiPathsObject, type ZodOpenApiResponsesObject, createDocument } from 'zod-openapi';
import { ChangeSchema } from './access';
import { type Endpoint, api, recordApi } from './api';
import { type CalculatorEndpoint, typicalEndpoint } from './computeApi';
import { PhotoSchema, RestoredSchema } from './documents';
import answers from './answers.json';
import { EXAMPLES, exampleOfRecord } from './examples';
import { KINDS } from './kinds/all';
import { KIND_LIST } from './kinds/names';

const TAGS = {
  Pieces: ['pieces', 'import'],
  Schedules: ['schedules'],
  Firings: ['firings', 'loads', 'bench'],
  Pictures: ['photos', 'aside'],
  Shelves: ['shelves', ...KIND_LIST.map((name) => KINDS[name].path)],
  Backups: ['backups', 'files'],
  Access: ['access'],
  Studio: ['studio', 'health', 'diagnostics', 'events'],
  Computing: ['compute'],
};

const ABOUT: Record<keyof typeof TAGS, string> = {
  Pieces: 'Pieces with their lay-up and firings, undo, and piece files.',
  Schedules: 'Schedule versions: rows that never change, each with what it was made from and what the engine made of it.',
  Firings: 'Firings, the loads they are in, and what goes on now.',
  Pictures: 'Pictures of firings, kept as JPEG under the hash of their bytes.',
  Shelves: 'Records: what stands on the shelves.',
  Backups: 'All of a studio as one file, restored whole, and as open files.',
  Access:
    'Other devices: one passcode for the studio, a cookie for each that has given it. Programs of the machine itself send the token that its start prints: Authorization: Bearer.',
  Studio: "The studio's settings, and whether the server is up.",
  Computing: 'The bare calculation: every constant is in the request; no request is kept.',
};

interface Named {
  operationId: string;
  endpoint: Endpoint;
  examples?: Readonly<Record<string, object>>;
  /** What it answered once, of the demo studio, lists shortened. */
  answered?: unknown;
}

const tagOf = (path: string): string => {
  const [, , place] = path.split('/');
  return Object.entries(TAGS).find(([, places]) => places.includes(place))?.[0] ?? 'Studio';
};

const capital = (word: string): string => word[0].toUpperCase() + word.slice(1);
const inBraces = (path: string): string => path.replace(/:(\w+)/g, '{$1}');
const json = (schema: z.ZodType) => ({ 'application/json': { schema } });
const PROBLEM = json(ProblemSchema);

const ID = z.string().meta({ description: 'The id of it: a uuid, or for records a short name' });
const KEY = z
  .string()
  .regex(/^[\w-]{8,100}$/)
  .optional()
  .meta({ description: 'Names this save, so that it counts once however often it comes; a uuid will do' });
const RETRY = z.object({ 'Retry-After': z.string().meta({ description: 'When to come again, in seconds' }) });

/** What the guard says to strangers, before anything is looked at. */
const GUARDED = {
  401: { description: 'It came from another device, which has not given the passcode', content: PROBLEM },
  421: { description: 'It was asked under a name that is not its own', content: PROBLEM },
};
const WRITES_GUARDED = {
  ...GUARDED,
  403: { description: 'It came from a page that is not its own', content: PROBLEM },
  412: { description: 'It came from a page of another version of Torvin', content: PROBLEM },
};

function answersOf({ method, path, answer, request, stands, computes, query }: Endpoint, answered: unknown): ZodOpenApiResponsesObject {
  const done = {
    schema: answer,
    ...(answered === undefined ? {} : { examples: { demo: { summary: 'Of the demo studio, lists shortened', value: answered } } }),
  };
  return {
    200: { description: 'Done', content: { 'application/json': done } },
    ...(method === 'get' ? GUARDED : WRITES_GUARDED),
    ...(path.includes(':') ? { 404: { description: 'There is none with this id', content: PROBLEM } } : {}),
    ...(stands
      ? {
          409: {
            description: 'It has changed meanwhile, or something stands in the way; current tells what stands',
            content: json(ProblemSchema.extend({ current: stands.optional() })),
          },
        }
      : {}),
    ...(request || query ? { 422: { description: 'What is wrong, at which field, and what would be right', content: PROBLEM } } : {}),
    ...(computes ? { 503: { description: 'Too many are calculating', headers: RETRY, content: PROBLEM } } : {}),
    default: { description: 'What else went wrong', content: PROBLEM },
  };
}

function operationOf({ operationId, endpoint, examples, answered }: Named): ZodOpenApiOperationObject {
  const { path, summary, request, query, keyed } = endpoint;
  return {
    operationId,
    summary,
    tags: [tagOf(path)],
    requestParams: {
      ...(path.includes(':id') ? { path: z.object({ id: ID }) } : {}),
      ...(query ? { query } : {}),
      ...(keyed ? { header: z.object({ 'Idempotency-Key': KEY }) } : {}),
    },
    ...(request
      ? {
          requestBody: {
            required: true,
            content: {
              'application/json': {
                schema: request,
                ...(examples
                  ? { examples: Object.fromEntries(Object.entries(examples).map(([title, value], i) => [`case${i + 1}`, { summary: title, value }])) }
                  : {}),
              },
            },
          },
        }
      : {}),
    responses: answersOf(endpoint, answered),
  };
}

const bytes = (description: string) => ({ type: 'string' as const, contentEncoding: 'binary', description });

/** What comes and goes as bytes is in no table. */
const pictures: ZodOpenApiPathsObject = {
  '/api/photos': {
    post: {
      operationId: 'addPhoto',
      summary: 'Takes a picture in: turned upright, freed of what the camera added, named by its hash',
      tags: ['Pictures'],
      requestBody: { required: true, content: { 'image/*': { schema: bytes('JPEG, PNG or WebP, judged by its bytes') } } },
      responses: {
        200: { description: 'Done', content: json(PhotoSchema) },
        ...WRITES_GUARDED,
        415: { description: 'It is not sent as a picture', content: PROBLEM },
        422: { description: 'It is no picture that can be read', content: PROBLEM },
        default: { description: 'What else went wrong', content: PROBLEM },
      },
    },
  },
  '/api/photos/{hash}': {
    get: {
      operationId: 'photo',
      summary: 'One picture',
      tags: ['Pictures'],
      requestParams: {
        path: z.object({ hash: z.string().meta({ description: 'The 64 hexadecimal digits of its content' }) }),
        query: z.object({ size: z.enum(['small', 'large']).default('large').meta({ description: 'small: for a list' }) }),
      },
      responses: {
        ...GUARDED,
        200: { description: 'The picture', content: { 'image/jpeg': { schema: bytes('JPEG') } } },
        404: { description: 'There is none with this hash', content: PROBLEM },
        default: { description: 'What else went wrong', content: PROBLEM },
      },
    },
  },
};

const ZIP = { 'application/zip': { schema: bytes('A zip') } };
const NO_BACKUP = {
  404: { description: 'There is no backup of this name', content: PROBLEM },
  default: { description: 'What else went wrong', content: PROBLEM },
};

/** Files that are streamed. */
const archives: ZodOpenApiPathsObject = {
  '/api/backups/{id}/file': {
    get: {
      operationId: 'backupFile',
      summary: 'A backup as a file',
      tags: ['Backups'],
      requestParams: { path: z.object({ id: z.string().meta({ description: 'The name of its file' }) }) },
      responses: { ...GUARDED, 200: { description: 'The backup', content: ZIP }, ...NO_BACKUP },
    },
  },
  '/api/backups/restore': {
    post: {
      operationId: 'restoreFile',
      summary: 'Puts a backup that is sent in the place of what there is, which is moved aside',
      tags: ['Backups'],
      requestBody: { required: true, content: ZIP },
      responses: {
        ...WRITES_GUARDED,
        200: { description: 'Done', content: json(RestoredSchema) },
        415: { description: 'It is not sent as a zip', content: PROBLEM },
        422: { description: 'It is no backup, or is damaged', content: PROBLEM },
        default: { description: 'What else went wrong', content: PROBLEM },
      },
    },
  },
  '/api/files': {
    get: {
      operationId: 'openFiles',
      summary: 'The whole studio as open files: a piece file each, firings and shelves as CSV, pictures',
      tags: ['Backups'],
      responses: { ...GUARDED, 200: { description: 'A zip of them', content: ZIP }, default: { description: 'What else went wrong', content: PROBLEM } },
    },
  },
};

const events: ZodOpenApiPathsObject = {
  '/api/events': {
    get: {
      operationId: 'events',
      summary: 'A stream of what has changed, as it changes: server-sent events named change, and here every 15 seconds',
      tags: ['Studio'],
      requestParams: {
        query: z.object({ after: z.string().optional().meta({ description: 'Id of the last event that was had, where no Last-Event-ID says it' }) }),
      },
      responses: {
        ...GUARDED,
        200: { description: 'The stream; the data of each change is one of these', content: { 'text/event-stream': { schema: ChangeSchema } } },
        default: { description: 'What else went wrong', content: PROBLEM },
      },
    },
  },
};

function allOperations(calculators: readonly CalculatorEndpoint[]): Named[] {
  const examples: Partial<Record<string, object>> = EXAMPLES;
  const documents = Object.entries<Endpoint>(api).map(([operationId, endpoint]): Named => ({ operationId, endpoint, ...given(examples[operationId]) }));
  const records = KIND_LIST.flatMap((kind) =>
    Object.entries<Endpoint>(recordApi[kind]).map(([what, endpoint]): Named => ({
      operationId: `${kind}${capital(what)}`,
      endpoint,
      ...given(exampleOfRecord(kind, what)),
    })),
  );
  const computing = calculators.map((endpoint): Named => ({ operationId: `compute${capital(endpoint.call)}`, endpoint, examples: endpoint.cases }));
  const told: Readonly<Record<string, unknown>> = answers;
  return [...documents, ...records, { operationId: 'computeTypical', endpoint: typicalEndpoint }, ...computing].map((one) => ({
    ...one,
    answered: told[one.operationId],
  }));
}

const given = (value: object | undefined) => (value ? { examples: { 'A whole request': value } } : {});

const named = new WeakMap<z.ZodType, z.ZodType>();

/** Every request and answer has a name of its own, so that code made from the document reads well. */
function namedSchema<T extends z.ZodType>(schema: T, id: string): T {
  if (schema.meta()?.id !== undefined) return schema;
  const known = named.get(schema) ?? schema.meta({ ...schema.meta(), id });
  named.set(schema, known);
  return known as T;
}

export function openApiDocument(version: string, calculators: readonly CalculatorEndpoint[]) {
  const paths: ZodOpenApiPathsObject = { ...pictures, ...archives, ...events };
  for (const { operationId, endpoint, examples, answered } of allOperations(calculators)) {
    const path = inBraces(endpoint.path);
    const request = endpoint.request && namedSchema(endpoint.request, `${capital(operationId)}Request`);
    const answer = endpoint.answer instanceof z.ZodArray ? endpoint.answer : namedSchema(endpoint.answer, `${capital(operationId)}Answer`);
    paths[path] = { ...paths[path], [endpoint.method]: operationOf({ operationId, endpoint: { ...endpoint, request, answer }, examples, answered }) };
  }
  const document = {
    openapi: '3.1.0' as const,
    info: {
      title: 'Torvin',
      version,
      license: { name: 'MIT', identifier: 'MIT' },
      description: 'Plans, calculates and records kiln firings. SI units and °C throughout; x-unit says the unit of every number, 1 where it has none.',
    },
    servers: [{ url: '/', description: 'This server' }],
    security: [],
    tags: Object.entries(ABOUT).map(([tag, description]) => ({ name: tag, description })),
    paths,
  };
  // A list that the code never changes is none that may not be sent.
  return createDocument(document, { override: ({ jsonSchema }) => void delete jsonSchema.readOnly });
}
