import { emptyDocument } from '@mint-lamp/core/document/document';
import type {
  CommitAnswer,
  LoadedProject,
  ProjectNews,
  RemovedAnswer,
  SentCommand,
} from '@mint-lamp/core/wire/projects';
import type { FastifyInstance } from 'fastify';
import { ApiError } from '../errors.ts';
import { sameSchemaVersion } from '../schema-version/schema-version.ts';
import { boundWork, checkCommands } from './check-commands.ts';
import { streamRevisions } from './events.ts';
import { commitBody, createBody, newsQuery, params } from './schemas.ts';

/** Commands may carry much: a family of a client's whole set of colours is one request. */
const COMMIT_LIMIT = 2 * 1024 * 1024;

const THEMES = [
  { id: 'light', name: 'Light' },
  { id: 'dark', name: 'Dark' },
];

interface OfOne {
  Params: { id: string };
}

/** The thing that was looked for, or the error that says that it is not there. */
function found<T>(thing: T | null): T {
  if (thing === null) throw new ApiError('NOT_FOUND', 'There is no project at this address.', 'params.id');
  return thing;
}

/** `/api/projects`: list, create, read, change by commands, follow. */
export async function projectRoutes(app: FastifyInstance): Promise<void> {
  const { projects, removedProjects, pictures, changes } = app;
  const forgetOld = async () => {
    if (await removedProjects.letGoOfOld()) await pictures.forgetUnused();
  };

  app.get('/', async ({ ownerId }) => ({ projects: await projects.list(ownerId) }));

  app.post<{ Body: { name: string } }>(
    '/',
    { schema: { body: createBody } },
    async ({ body, ownerId }, reply): Promise<LoadedProject> => {
      const made = await projects.create(ownerId, emptyDocument(body.name.trim(), THEMES));
      return reply.code(201).send(made);
    },
  );

  app.get<OfOne>(
    '/:id',
    { schema: { params }, onRequest: sameSchemaVersion },
    async ({ ownerId, params: { id } }): Promise<LoadedProject> => found(await projects.find(ownerId, id)),
  );

  app.delete<OfOne>('/:id', { schema: { params } }, async ({ ownerId, params: { id } }, reply) => {
    if (!(await projects.remove(ownerId, id))) found(null);
    return reply.code(204).send();
  });

  // What was removed stays for a while, and can be had back.
  app.get('/removed', async ({ ownerId }): Promise<RemovedAnswer> => {
    await forgetOld();
    return { projects: await removedProjects.list(ownerId) };
  });
  app.post<OfOne>('/removed/:id/back', { schema: { params } }, async ({ ownerId, params: { id } }, reply) => {
    if (!(await removedProjects.bringBack(ownerId, id))) found(null);
    return reply.code(204).send();
  });
  app.delete<OfOne>('/removed/:id', { schema: { params } }, async ({ ownerId, params: { id } }, reply) => {
    if (!(await removedProjects.letGo(ownerId, id))) found(null);
    await pictures.forgetUnused();
    return reply.code(204).send();
  });

  app.get<OfOne & { Querystring: { after: number } }>(
    '/:id/news',
    { schema: { params, querystring: newsQuery }, onRequest: sameSchemaVersion },
    async ({ ownerId, params: { id }, query }): Promise<ProjectNews> =>
      found(await projects.newsSince(ownerId, id, query.after)),
  );

  // Where pages of schema version 1 asked for news: they are told to load anew.
  app.get<OfOne>('/:id/entries', { schema: { params }, onRequest: sameSchemaVersion }, async () =>
    found(null),
  );

  app.post<OfOne & { Body: { revision: number; commands: SentCommand[] } }>(
    '/:id/commands',
    {
      schema: { params, body: commitBody },
      onRequest: sameSchemaVersion,
      preValidation: boundWork,
      preHandler: checkCommands,
      bodyLimit: COMMIT_LIMIT,
    },
    async ({ ownerId, params: { id }, body }): Promise<CommitAnswer> => {
      const answer = found(await projects.commit(ownerId, id, body.revision, body.commands));
      if (body.revision > answer.revision)
        throw new ApiError(
          'REVISION_AHEAD',
          `The project is at revision ${answer.revision}.`,
          'body.revision',
        );
      return answer;
    },
  );

  // Without its body a stream of events is nothing.
  app.get<OfOne>('/:id/events', { schema: { params }, exposeHeadRoute: false }, async (request, reply) => {
    const { id } = request.params;
    const revisionOf = () => projects.revisionOf(request.ownerId, id);
    if (!(await streamRevisions(request, reply, changes, id, revisionOf))) found(null);
  });
}
