import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { documentSchema } from '@mint-lamp/core/document/document-schema';
import fc from 'fast-check';
import type { FastifyInstance, InjectOptions } from 'fastify';
import type { DataSource } from 'typeorm';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { command } from '../../../packages/core/src/document/commands/random-command.fixture.ts';
import { runs } from '../../../packages/core/test/runs.ts';
import { ensureLocalPerson, LOCAL_PERSON } from '../src/access/local-person.ts';
import { buildApp } from '../src/app.ts';
import { openDatabase } from '../src/database/data-source.ts';
import { FORM } from './form.ts';
import { ownDatabase } from './own-database.ts';

let database: DataSource;
let app: FastifyInstance;
let id: string;

beforeAll(async () => {
  database = await openDatabase(ownDatabase());
  await ensureLocalPerson(database);
  app = await buildApp({ database });
  ({ id } = await app.projects.create(LOCAL_PERSON.id, SKERRY_LINE));
});
afterAll(async () => {
  await app.close();
  await database.destroy();
});

const OWN = ':own';
const wellFormed = (text: string) => text.replace(/[\ud800-\udfff]/g, '');
const oddText = fc.oneof(
  fc.string({ maxLength: 40 }),
  fc.string({ unit: 'binary', maxLength: 20 }),
  fc.constantFrom(
    '',
    '__proto__',
    'constructor',
    '../..',
    '%00',
    "' OR 1=1 --",
    '\u0000',
    '\ud800',
    'x'.repeat(5000),
  ),
);
const oddNumber = fc.oneof(fc.double(), fc.integer(), fc.constantFrom(-1, 2 ** 31, 2 ** 53, 1e300));
const oddValue: fc.Arbitrary<unknown> = fc.oneof(
  { weight: 3, arbitrary: oddText },
  { weight: 2, arbitrary: oddNumber },
  { weight: 1, arbitrary: fc.constantFrom(null, true, [], {}, [[]], { type: 'batch' }, { __proto__: null }) },
  { weight: 1, arbitrary: fc.jsonValue({ maxDepth: 4 }) },
);

/** A value with one of its parts, however deep, put in place of another. */
function withOdd(value: unknown, path: readonly number[], odd: unknown): unknown {
  if (!path.length || typeof value !== 'object' || value === null) return odd;
  const keys = Object.keys(value);
  if (!keys.length) return odd;
  const key = keys[path[0]! % keys.length]!;
  const part = withOdd((value as Record<string, unknown>)[key], path.slice(1), odd);
  return Array.isArray(value) ? value.with(Number(key), part) : { ...value, [key]: part };
}

const commit = fc.record({
  revision: fc.oneof({ weight: 4, arbitrary: fc.constant(0) }, { weight: 1, arbitrary: oddNumber }),
  commands: fc.array(fc.record({ id: fc.uuid(), command }), { maxLength: 4 }),
});
const body: fc.Arbitrary<string | undefined> = fc.oneof(
  { weight: 4, arbitrary: commit.map((sent) => JSON.stringify(sent)) },
  {
    weight: 5,
    arbitrary: fc
      .tuple(commit, fc.array(fc.nat(12), { minLength: 1, maxLength: 7 }), oddValue)
      .map(([sent, path, odd]) => JSON.stringify(withOdd(sent, path, odd))),
  },
  {
    weight: 2,
    arbitrary: fc
      .record({ name: fc.oneof(oddText, oddValue), revision: fc.oneof(fc.constant(0), oddNumber) })
      .map((sent) => JSON.stringify(sent)),
  },
  { weight: 1, arbitrary: oddText },
  { weight: 1, arbitrary: fc.nat(2000).map((n) => `${'['.repeat(n)}${']'.repeat(n)}`) },
  { weight: 1, arbitrary: fc.constant(undefined) },
);
const anyId = fc.oneof(
  { weight: 6, arbitrary: fc.constant(OWN) },
  { weight: 1, arbitrary: fc.uuid() },
  { weight: 1, arbitrary: oddText.map((text) => encodeURIComponent(wellFormed(text))) },
);
const after = fc.oneof(fc.nat(5).map(String), oddNumber.map(String), oddText);
const url = fc.oneof(
  { weight: 8, arbitrary: anyId.map((one) => `/api/projects/${one}/commands`) },
  {
    weight: 1,
    arbitrary: fc.constantFrom(
      '/api/projects',
      '/api/health',
      '/',
      '/p/x',
      '/assets/',
      '/api',
      '//',
      '/api/%zz',
    ),
  },
  { weight: 2, arbitrary: anyId.map((one) => `/api/projects/${one}`) },
  {
    weight: 2,
    arbitrary: fc
      .tuple(anyId, after)
      .map(([one, since]) => `/api/projects/${one}/news?after=${encodeURIComponent(wellFormed(since))}`),
  },
  { weight: 1, arbitrary: anyId.map((one) => `/api/projects/${one}/checkpoints`) },
  {
    weight: 1,
    arbitrary: fc.tuple(anyId, anyId).map(([one, other]) => `/api/projects/${one}/checkpoints/${other}`),
  },
  { weight: 1, arbitrary: oddText.map((text) => `/${encodeURI(wellFormed(text))}`) },
);
const header = (usual: string) =>
  fc.oneof(
    { weight: 12, arbitrary: fc.constant(usual) },
    {
      weight: 1,
      arbitrary: fc.constantFrom(
        '',
        '0',
        '-1',
        '99',
        'NaN',
        'text/plain',
        'application/json;charset=x',
        'null',
        'a.example',
      ),
    },
  );
const request = fc.record({
  method: fc.oneof(
    { weight: 6, arbitrary: fc.constant('POST') },
    { weight: 4, arbitrary: fc.constant('GET') },
    { weight: 1, arbitrary: fc.constantFrom('PUT', 'PATCH', 'HEAD', 'OPTIONS', 'DELETE') },
  ),
  url,
  headers: fc.record({
    'content-type': header('application/json'),
    host: header('localhost'),
    [Object.keys(FORM)[0]!]: header(Object.values(FORM)[0]!),
  }),
  payload: body,
});

test('no request that can be thought of is answered with a failure, and the document stays sound', async () => {
  const answered = new Map<number, number>();
  const whole = await app.projects.find(id);
  expect(documentSchema.validate(whole!.document).error).toBeUndefined();
  await fc.assert(
    fc.asyncProperty(request, async (one) => {
      // Its own project is not removed, so that there is one to the end.
      fc.pre(one.method !== 'DELETE' || !one.url.includes(OWN));
      const { payload, ...rest } = one;
      const sent = { ...rest, url: one.url.replace(OWN, id), ...(payload === undefined ? {} : { payload }) };
      const answer = await app.inject(sent as InjectOptions);
      const { statusCode } = answer;
      answered.set(statusCode, (answered.get(statusCode) ?? 0) + 1);
      // The one 5xx that is meant: one end is of another form than the other.
      if (statusCode === 503 && one.method === 'HEAD') return;
      if (statusCode === 503) expect(answer.json().error.code).toMatch(/^(PAGE|SERVER)_OUTDATED$/);
      else expect(statusCode).toBeLessThan(500);
      if (statusCode >= 400 && one.method !== 'HEAD')
        expect(answer.json()).toEqual({
          error: {
            code: expect.any(String),
            message: expect.stringMatching(/\w{3}/),
            path: expect.any(String),
          },
        });
    }),
    { numRuns: runs(24_000) },
  );
  // The requests really went both ways.
  for (const status of [200, 400, 404]) expect(answered.get(status) ?? 0).toBeGreaterThan(20);
  const { document } = (await app.projects.find(id))!;
  expect(documentSchema.validate(document).error).toBeUndefined();
}, 600_000);
