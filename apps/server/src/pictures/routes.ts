import { Readable } from 'node:stream';
import { LONGEST_SIDE } from '@mint-lamp/core/document/pictures/picture';
import type { Area } from '@mint-lamp/core/gradient/area';
import { MOST_PICTURE_BYTES } from '@mint-lamp/core/picture/kind';
import { regionOf } from '@mint-lamp/core/system/pictures/regions';
import type { KeptAnswer } from '@mint-lamp/core/wire/pictures';
import type { FastifyInstance } from 'fastify';
import Joi from 'joi';
import { needs } from '../access/needs.ts';
import { ApiError } from '../errors.ts';
import { type FetchOptions, fetchFromWeb } from '../fetching/from-web.ts';
import { leftSignal } from '../left.ts';
import { params as projectParams } from '../projects/schemas.ts';
import { regionColors } from './drawing/region-colors.ts';
import { PICTURE } from './fetched-picture.ts';
import { refused } from './refused-picture.ts';
import { atMost, type Incoming, writeIncoming } from './storing/incoming.ts';
import { takeInInTurn } from './storing/take-in-in-turn.ts';

/** How pictures are fetched by address; what is left out is as usual. */
export type Fetching = Omit<FetchOptions, 'standIns'>;

interface OfOne {
  Params: { id: string };
}
interface OfRegion extends OfContent {
  Querystring: Area;
}
interface OfContent {
  Params: { id: string; content: string };
}

const contentParams = projectParams.append({
  content: Joi.string()
    .pattern(/^[\da-f]{64}$/, 'SHA-256 in hex')
    .required(),
});
const side = Joi.number().integer().min(1).max(LONGEST_SIDE).required();
const place = Joi.number().integer().min(0).max(LONGEST_SIDE).required();
const areaQuery = Joi.object({ x: place, y: place, width: side, height: side }).required();
const fetchBody = Joi.object({ address: Joi.string().trim().min(1).max(2000).required() }).required();

function found<T>(thing: T | null | false): T {
  if (!thing) throw new ApiError('NOT_FOUND', 'There is no such picture in the project.', 'params');
  return thing;
}

/** Of a name that says all of its content: never to be asked for again. */
const FOREVER = 'private, max-age=31536000, immutable';
/** Opened by itself, a picture is a picture and nothing that runs. */
const ALONE = "default-src 'none'; sandbox";

/** `/api/projects/:id/pictures`: keep a file, fetch one by its address, show what is kept, count the colours of a region. */
export async function pictureRoutes(
  app: FastifyInstance,
  { fetching }: { fetching: FetchOptions },
): Promise<void> {
  const { pictures, jobs } = app;

  // The stream itself: a file is written to disk as it comes, and looked at when it is there.
  app.addContentTypeParser('application/octet-stream', (_request, payload, done) => done(null, payload));

  const keep = async (
    id: string,
    { folder, file, remove }: Incoming,
    left: AbortSignal,
  ): Promise<KeptAnswer> => {
    try {
      const picture = await takeInInTurn(jobs, { folder, file }, left);
      found(await pictures.keep(id, picture));
      const { content, width, height } = picture;
      return { content, width, height };
    } finally {
      await remove();
    }
  };

  app.post<OfOne & { Body: Readable | undefined }>(
    '/',
    { ...needs({ project: 'edit' }), schema: { params: projectParams } },
    async ({ params: { id }, body, headers }, reply) => {
      if (Number(headers['content-length'] ?? 0) > MOST_PICTURE_BYTES) throw refused.bytes();
      if (body !== undefined && !(body instanceof Readable))
        throw new ApiError('WRONG_MEDIA_TYPE', 'Send the file itself, as application/octet-stream.');
      const given = await writeIncoming(body ?? Readable.from([]), [
        atMost(MOST_PICTURE_BYTES, refused.bytes, { heardOut: true }),
      ]);
      return reply.code(201).send(await keep(id, given, leftSignal(reply)));
    },
  );

  app.post<OfOne & { Body: { address: string } }>(
    '/fetched',
    { ...needs({ project: 'edit' }), schema: { params: projectParams, body: fetchBody } },
    async ({ params: { id }, body: { address } }, reply) => {
      const left = leftSignal(reply);
      const { incoming } = await fetchFromWeb(address, PICTURE, fetching, left);
      return reply.code(201).send(await keep(id, incoming, left));
    },
  );

  app.get<OfContent>(
    '/:content',
    { ...needs({ project: 'look' }), schema: { params: contentParams } },
    async (request, reply) => {
      const { id, content } = request.params;
      const picture = found(await pictures.find(id, content));
      return reply
        .header('content-type', picture.mediaType)
        .header('content-length', picture.size)
        .header('cache-control', FOREVER)
        .header('content-security-policy', ALONE)
        .send(request.method === 'HEAD' ? '' : pictures.read(content));
    },
  );

  app.get<OfRegion>(
    '/:content/region',
    { ...needs({ project: 'look' }), schema: { params: contentParams, querystring: areaQuery } },
    async (request, reply) => {
      const { id, content } = request.params;
      const picture = found(await pictures.find(id, content));
      const { mediaType, width, height } = picture;
      const region = regionOf({ content, width, height }, request.query);
      const find = async () => ({ mediaType, read: () => pictures.read(content) });
      const colors = await regionColors([region], find, jobs.regions, leftSignal(reply));
      return reply
        .header('content-type', 'application/octet-stream')
        .header('cache-control', FOREVER)
        .send(Buffer.from(found(colors.get(region.key) ?? null)));
    },
  );

  app.get<OfContent>(
    '/:content/small',
    { ...needs({ project: 'look' }), schema: { params: contentParams } },
    async (request, reply) => {
      const { id, content } = request.params;
      const picture = found(await pictures.find(id, content));
      return reply
        .header('content-type', 'image/webp')
        .header('cache-control', FOREVER)
        .header('content-security-policy', ALONE)
        .send(picture.small);
    },
  );
}
