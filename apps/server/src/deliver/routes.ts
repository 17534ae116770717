import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { LEAVABLE, type LeftOut } from '@mint-lamp/core/document/delivery/delivery';
import { choicesOf, type KeptChoices } from '@mint-lamp/core/document/delivery/forms';
import { readChoices } from '@mint-lamp/core/document/delivery/read-choices';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { slug } from '@mint-lamp/core/document/naming/names';
import { withSignedNotes } from '@mint-lamp/core/document/notes/signed-notes';
import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import { FILE_FORMATS, type FileFormatId, fileFormat } from '@mint-lamp/core/exchange/file-formats';
import type { FastifyInstance } from 'fastify';
import Joi from 'joi';
import { needs } from '../access/needs.ts';
import { SchemaVersionAhead } from '../database/schema-version-ahead.ts';
import { ApiError } from '../errors.ts';
import { leftSignal } from '../left.ts';
import { allRegions } from '../pictures/drawing/all-regions.ts';
import { namesOn } from '../projects/names-on.ts';
import { uuid } from '../projects/schemas.ts';
import { documentInParts } from '../reports/document-in-parts.ts';

const params = Joi.object({ id: uuid, form: Joi.valid(...FILE_FORMATS.map(({ id }) => id)).required() });
const query = Joi.object({
  checkpoint: uuid.optional(),
  handover: uuid.optional(),
  everything: Joi.boolean(),
  download: Joi.boolean(),
})
  .oxor('checkpoint', 'handover')
  // The choices of the form, which are read by themselves.
  .unknown();

interface Asked {
  Params: { id: string; form: FileFormatId };
  Querystring: Record<string, string | undefined> & { everything?: boolean; download?: boolean };
}

/** Parts of the query that are no choices of a form. */
const OWN = new Set(['checkpoint', 'handover', 'everything', 'download']);
const NOTHING_LEFT_OUT: LeftOut = { family: [], role: [], theme: [], gradient: [] };

/** A state of a project: what it was, of which revision, and when that was made. */
interface State {
  readonly document: ProjectDocument;
  readonly revision: number;
  readonly choices?: KeptChoices;
  readonly leftOut?: LeftOut;
}

const gone = (what: string, path: string) => new ApiError('NOT_FOUND', `There is no such ${what}.`, path);

/** What is asked for: the project now, at a checkpoint, or as it was handed over. */
async function stateOf(app: FastifyInstance, id: string, asked: Asked['Querystring']): Promise<State> {
  if (asked.checkpoint !== undefined) {
    const found = await app.reads.checkpoints.find(id, asked.checkpoint);
    if (!found) throw gone('checkpoint', 'querystring.checkpoint');
    return found;
  }
  if (asked.handover !== undefined) {
    const found = await app.reads.handOvers.find(id, asked.handover);
    if (!found) throw gone('hand-over', 'querystring.handover');
    return found;
  }
  const project = await app.reads.projects.find(id);
  if (!project) throw new ApiError('NOT_FOUND', 'There is no project at this address.', 'params.id');
  return project;
}

/**
 * `/api/projects/:id/deliver/:form`: a project as a file in any form, now, at a checkpoint, or as it was handed over. What is
 * chosen at Deliver holds, unless the query says otherwise by the names of the form's choices. The answer has a strong ETag
 * by revision and choices; it is written in a process of its own.
 */
export async function deliverRoutes(app: FastifyInstance): Promise<void> {
  app.get<Asked>(
    '/:form',
    { ...needs({ project: 'look' }), schema: { params, querystring: query } },
    async (request, reply) => {
      const { params: of, query: asked } = request;
      const { id, form } = of;
      const { document, revision, ...then } = await stateOf(app, id, asked);
      if (document.version !== DOCUMENT_VERSION) throw new SchemaVersionAhead();
      const read = readChoices(
        form,
        Object.fromEntries(Object.entries(asked).filter(([key]) => !OWN.has(key))) as Record<string, string>,
        document.themes,
      );
      if (!read.ok) throw new ApiError('BAD_REQUEST', read.reason, `querystring.${read.key}`);
      const before = then.choices ?? document.delivery.choices;
      const choices: KeptChoices = { ...before, [form]: { ...before[form], ...read.choices } };
      const leftOut = asked.everything ? NOTHING_LEFT_OUT : (then.leftOut ?? document.delivery.leftOut);
      const { mediaType, fileName } = fileFormat(form);
      const tag = `"${createHash('sha256')
        .update(
          JSON.stringify([
            DOCUMENT_VERSION,
            form,
            revision,
            choicesOf(choices, form),
            LEAVABLE.map((kind) => leftOut[kind]),
          ]),
        )
        .digest('base64url')
        .slice(0, 22)}-${revision}"`;
      reply.header('etag', tag).header('cache-control', 'private, no-cache');
      const known = request.headers['if-none-match'];
      if (known === '*' || known?.split(',').some((one) => one.trim() === tag)) return reply.code(304).send();
      const left = leftSignal(reply);
      const regions =
        form === 'page' || form === 'pdf' ? await allRegions(app, id, document, left) : new Map();
      const at = await app.reads.projects.madeAt(id, revision);
      const folder = await mkdtemp(join(tmpdir(), 'mint-lamp-deliver-'));
      const removed = () => void rm(folder, { recursive: true, force: true });
      try {
        const input = {
          document: join(folder, 'document.json'),
          form,
          choices,
          leftOut,
          revision,
          at: at.toISOString(),
          regions,
          file: join(folder, 'file'),
        };
        await writeFile(input.document, documentInParts(withSignedNotes(document, await namesOn(app, id))));
        await app.jobs.reports.run('writeForm', input, left);
        reply.raw.once('close', removed);
        const name = fileName(slug(document.name) || 'colours');
        const kind = asked.download ? 'attachment' : 'inline';
        return (
          reply
            .type(/^text|json|xml|javascript/.test(mediaType) ? `${mediaType}; charset=utf-8` : mediaType)
            .header('content-disposition', `${kind}; filename*=UTF-8''${encodeURIComponent(name)}`)
            // What people typed is in it; on this server's address it is shown, and does nothing.
            .header(
              'content-security-policy',
              "default-src 'none'; style-src 'unsafe-inline'; img-src data:; sandbox",
            )
            .send(createReadStream(input.file))
        );
      } catch (error) {
        removed();
        throw error;
      }
    },
  );
}
