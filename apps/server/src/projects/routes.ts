import { emptyDocument } from '@mint-lamp/core/document/document';
import { NEW_THEMES } from '@mint-lamp/core/document/themes/new-themes';
import type {
  CommitAnswer,
  LoadedProject,
  ProjectNews,
  ProjectsAnswer,
  RemovedAnswer,
  SentCommand,
} from '@mint-lamp/core/wire/projects';
import type { FastifyInstance } from 'fastify';
import { needs } from '../access/needs.ts';
import { ApiError } from '../errors.ts';
import { sameSchemaVersion } from '../schema-version/schema-version.ts';
import { boundWork, checkCommands } from './check-commands.ts';
import { streamRevisions } from './events.ts';
import { commitBody, createBody, newsQuery, ofRevision, params } from './schemas.ts';

/** Commands may carry much: a family of a client's whole set of colours is one request. */
const COMMIT_LIMIT = 2 * 1024 * 1024;

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
  const { projects, removedProjects, pictures, changes, door } = app;
  const forgetOld = async () => {
    if (await removedProjects.letGoOfOld()) await pictures.forgetUnused();
  };

  app.get(
    '/',
    needs('person'),
    async ({ personId }): Promise<ProjectsAnswer> => ({
      projects: await projects.list(personId),
    }),
  );

  app.post<{ Body: { name: string } }>(
    '/',
    { ...needs('person'), schema: { body: createBody } },
    async ({ body, personId }, reply): Promise<LoadedProject> => {
      const made = await projects.create(personId, emptyDocument(body.name.trim(), NEW_THEMES));
      return reply.code(201).send({ ...made, access: 'owner' });
    },
  );

  app.get<OfOne>(
    '/:id',
    { ...needs({ project: 'look' }), schema: { params }, onRequest: sameSchemaVersion },
    async ({ params: { id }, access }): Promise<LoadedProject> => ({
      ...found(await projects.find(id)),
      access: access!,
    }),
  );

  app.delete<OfOne>(
    '/:id',
    { ...needs({ project: 'edit' }), schema: { params } },
    async ({ params: { id } }, reply) => {
      if (!(await projects.remove(id))) found(null);
      return reply.code(204).send();
    },
  );

  // What was removed stays for a while, and can be had back.
  app.get('/removed', needs('person'), async ({ personId }): Promise<RemovedAnswer> => {
    await forgetOld();
    return { projects: await removedProjects.list(personId) };
  });
  app.post<OfOne>(
    '/removed/:id/back',
    { ...needs({ removed: 'edit' }), schema: { params } },
    async ({ params: { id } }, reply) => {
      if (!(await removedProjects.bringBack(id))) found(null);
      return reply.code(204).send();
    },
  );
  app.delete<OfOne>(
    '/removed/:id',
    { ...needs({ removed: 'own' }), schema: { params } },
    async ({ params: { id } }, reply) => {
      if (!(await removedProjects.letGo(id))) found(null);
      await pictures.forgetUnused();
      return reply.code(204).send();
    },
  );

  app.get<OfOne & { Querystring: { after: number } }>(
    '/:id/news',
    {
      ...needs({ project: 'look' }),
      schema: { params, querystring: newsQuery },
      onRequest: sameSchemaVersion,
    },
    async ({ params: { id }, query, access }): Promise<ProjectNews> => ({
      ...found(await projects.newsSince(id, query.after)),
      access: access!,
    }),
  );

  app.get<{ Params: { id: string; revision: number } }>(
    '/:id/revisions/:revision',
    { ...needs({ project: 'look' }), schema: { params: ofRevision }, onRequest: sameSchemaVersion },
    async ({ params: { id, revision } }): Promise<Pick<LoadedProject, 'document'>> => {
      const document = await projects.at(id, revision);
      if (!document)
        throw new ApiError('NOT_FOUND', 'The project has not come to this revision.', 'params.revision');
      return { document };
    },
  );

  // Where pages of schema version 1 asked for news: they are told to load anew.
  app.get<OfOne>(
    '/:id/entries',
    { ...needs({ project: 'look' }), schema: { params }, onRequest: sameSchemaVersion },
    async () => found(null),
  );

  app.post<OfOne & { Body: { revision: number; commands: SentCommand[] } }>(
    '/:id/commands',
    {
      ...needs({ project: 'note' }),
      schema: { params, body: commitBody },
      onRequest: sameSchemaVersion,
      preValidation: boundWork,
      preHandler: checkCommands,
      bodyLimit: COMMIT_LIMIT,
    },
    async ({ personId, access, params: { id }, body }): Promise<CommitAnswer> => {
      const sender = { id: personId, access: access! };
      const answer = found(await projects.commit(sender, id, body.revision, body.commands));
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
  app.get<OfOne>(
    '/:id/events',
    { ...needs({ project: 'look' }), schema: { params }, exposeHeadRoute: false },
    async (request, reply) => {
      const { id } = request.params;
      const { personId, session } = request;
      const revisionOf = () => projects.revisionOf(id);
      const mayStill = async () =>
        (session === null || (await door.isOpen(session))) && (await door.toProject(personId, id)) !== null;
      if (
        !(await streamRevisions(request, reply, changes, id, {
          revisionOf,
          mayStill,
          onEnding: app.ending.onBegin,
          tellsAll: true,
        }))
      )
        found(null);
    },
  );
}
