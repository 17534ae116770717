import { emptyDocument } from '@mint-lamp/core/system/document';
import { commandSchema, projectNameSchema } from '@mint-lamp/core/system/schema';
import type { FastifyInstance } from 'fastify';
import Joi from 'joi';
import type { ChangeFeed } from '../database/change-feed.ts';
import { LOCAL_OWNER } from '../database/migrations/1-projects.ts';
import type { ProjectStore, SentCommand } from '../database/project-store.ts';
import { ApiError } from '../errors.ts';
import { previewOf } from './preview.ts';

const params = Joi.object({ id: Joi.string().guid().required() });
const revision = Joi.number().integer().min(0).max(2_147_483_647);

const commitBody = Joi.object({
  /** The last revision that the sender has seen. */
  revision: revision.required(),
  commands: Joi.array()
    .items(Joi.object({ id: Joi.string().guid().required(), command: commandSchema }))
    .max(500)
    .required(),
}).required();

interface Options {
  readonly projects: ProjectStore;
  readonly feed: ChangeFeed;
}

const THEMES = [
  { id: 'light', name: 'Light' },
  { id: 'dark', name: 'Dark' },
];

const gone = () => new ApiError('NOT_FOUND', 'There is no project at this address.', 'params.id');
const KEEP_ALIVE_MS = 20_000;

/** `/api/projects`: list, create, read, change by commands, follow. */
export async function projectRoutes(app: FastifyInstance, { projects, feed }: Options) {
  app.get('/', async () => {
    const rows = await projects.list(LOCAL_OWNER);
    return {
      projects: rows.map(({ id, revision, updatedAt, document }) => ({
        id,
        name: document.name,
        revision,
        updatedAt,
        preview: previewOf(document),
      })),
    };
  });

  app.post<{ Body: { name: string } }>(
    '/',
    { schema: { body: Joi.object({ name: projectNameSchema }).required() } },
    async ({ body }, reply) => {
      const row = await projects.create(LOCAL_OWNER, emptyDocument(body.name.trim(), THEMES));
      return reply.code(201).send({ id: row.id, revision: row.revision, document: row.document });
    },
  );

  app.get<{ Params: { id: string } }>('/:id', { schema: { params } }, async (request) => {
    const row = await projects.find(LOCAL_OWNER, request.params.id);
    if (!row) throw gone();
    return { id: row.id, revision: row.revision, document: row.document };
  });

  app.delete<{ Params: { id: string } }>('/:id', { schema: { params } }, async (request, reply) => {
    if (!(await projects.remove(LOCAL_OWNER, request.params.id))) throw gone();
    return reply.code(204).send();
  });

  app.get<{ Params: { id: string }; Querystring: { after: number } }>(
    '/:id/entries',
    { schema: { params, querystring: Joi.object({ after: revision.required() }) } },
    async (request) => {
      const row = await projects.find(LOCAL_OWNER, request.params.id);
      if (!row) throw gone();
      return { entries: await projects.entriesAfter(row.id, request.query.after) };
    },
  );

  app.post<{ Params: { id: string }; Body: { revision: number; commands: SentCommand[] } }>(
    '/:id/commands',
    { schema: { params, body: commitBody } },
    async ({ params: { id }, body }) => {
      const result = await projects.commit(LOCAL_OWNER, id, body.revision, body.commands);
      if (!result) throw gone();
      if (body.revision > result.revision)
        throw new ApiError(
          'REVISION_AHEAD',
          `The project is at revision ${result.revision}.`,
          'body.revision',
        );
      return result;
    },
  );

  // Server-sent events: the number of the newest revision whenever it grows; the log itself is fetched.
  app.get<{ Params: { id: string } }>('/:id/events', { schema: { params } }, async (request, reply) => {
    const row = await projects.find(LOCAL_OWNER, request.params.id);
    if (!row) throw gone();
    reply.hijack();
    const { raw } = reply;
    raw.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store' });
    const tell = (newest: number | null) => raw.write(`data: ${JSON.stringify({ revision: newest })}\n\n`);
    tell(row.revision);
    const leave = feed.subscribe(row.id, tell);
    const keepAlive = setInterval(() => raw.write(':\n\n'), KEEP_ALIVE_MS);
    request.raw.on('close', () => {
      clearInterval(keepAlive);
      leave();
      raw.end();
    });
  });
}
