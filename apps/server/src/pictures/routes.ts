import type { Area } from '@mint-lamp/core/gradient/area';
import { MOST_PICTURE_BYTES } from '@mint-lamp/core/picture/kind';
import { regionOf } from '@mint-lamp/core/system/pairs/regions';
import { LONGEST_SIDE } from '@mint-lamp/core/system/pictures/picture';
import type { KeptAnswer } from '@mint-lamp/core/wire/pictures';
import { writeRegion } from '@mint-lamp/core/wire/regions';
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import Joi from 'joi';
import { ApiError } from '../errors.ts';
import { params as projectParams } from '../projects/schemas.ts';
import { faultIn } from '../validation.ts';
import { type FetchOptions, fetchPicture } from './fetch-picture.ts';
import { takeIn } from './intake.ts';
import { regionColors } from './region-colors.ts';
import { Slots } from './slots.ts';

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

/** Pictures that are taken in at a time; each may need some hundred megabytes while it is read. */
const AT_A_TIME = 2;

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
  { fetching }: { fetching: Fetching },
): Promise<void> {
  const { pictures, standIns } = app;
  const slots = new Slots(AT_A_TIME);

  app.addContentTypeParser(
    'application/octet-stream',
    { parseAs: 'buffer', bodyLimit: MOST_PICTURE_BYTES + 1 },
    (_request, body, done) => done(null, body),
  );

  /** Waits for its turn before the body is read, so that those who wait cost nothing. */
  const inTurn = async (_request: FastifyRequest, reply: FastifyReply) => {
    await slots.take();
    let given = false;
    const give = () => {
      if (!given) slots.give();
      given = true;
    };
    for (const end of ['finish', 'close']) reply.raw.once(end, give);
    // One who left while waiting has closed it already.
    if (reply.raw.closed) give();
  };
  const ofProject = async ({ ownerId, params }: FastifyRequest) => {
    const { error } = projectParams.validate(params);
    if (error) throw faultIn(error, ['params']);
    if (!(await pictures.hasProject(ownerId, (params as OfOne['Params']).id)))
      throw new ApiError('NOT_FOUND', 'There is no project at this address.', 'params.id');
  };

  const keep = async (ownerId: string, id: string, bytes: Uint8Array): Promise<KeptAnswer> => {
    const picture = await takeIn(bytes);
    found(await pictures.keep(ownerId, id, picture));
    const { content, width, height } = picture;
    return { content, width, height };
  };

  app.post<OfOne & { Body: Buffer | undefined }>(
    '/',
    {
      schema: { params: projectParams },
      onRequest: inTurn,
      preParsing: ofProject,
      bodyLimit: MOST_PICTURE_BYTES + 1,
    },
    async ({ ownerId, params: { id }, body }, reply) => {
      if (body !== undefined && !Buffer.isBuffer(body))
        throw new ApiError('WRONG_MEDIA_TYPE', 'Send the file itself, as application/octet-stream.');
      return reply.code(201).send(await keep(ownerId, id, body ?? Buffer.alloc(0)));
    },
  );

  app.post<OfOne & { Body: { address: string } }>(
    '/fetched',
    { schema: { params: projectParams, body: fetchBody }, onRequest: inTurn, preHandler: ofProject },
    async ({ ownerId, params: { id }, body: { address } }, reply) => {
      const { bytes } = await fetchPicture(address, { ...fetching, standIns });
      return reply.code(201).send(await keep(ownerId, id, bytes));
    },
  );

  app.get<OfContent>('/:content', { schema: { params: contentParams } }, async (request, reply) => {
    const { id, content } = request.params;
    const picture = found(await pictures.find(request.ownerId, id, content));
    return reply
      .header('content-type', picture.mediaType)
      .header('content-length', picture.size)
      .header('cache-control', FOREVER)
      .header('content-security-policy', ALONE)
      .send(request.method === 'HEAD' ? '' : pictures.read(content));
  });

  app.get<OfRegion>(
    '/:content/region',
    { schema: { params: contentParams, querystring: areaQuery }, onRequest: inTurn },
    async (request, reply) => {
      const { id, content } = request.params;
      const picture = found(await pictures.find(request.ownerId, id, content));
      const { mediaType, width, height } = picture;
      const region = regionOf({ content, width, height }, request.query);
      const colors = await regionColors(region, async () => ({
        mediaType,
        read: () => pictures.read(content),
      }));
      return reply
        .header('content-type', 'application/octet-stream')
        .header('cache-control', FOREVER)
        .send(Buffer.from(writeRegion(found(colors))));
    },
  );

  app.get<OfContent>('/:content/small', { schema: { params: contentParams } }, async (request, reply) => {
    const { id, content } = request.params;
    const picture = found(await pictures.find(request.ownerId, id, content));
    return reply
      .header('content-type', 'image/webp')
      .header('cache-control', FOREVER)
      .header('content-security-policy', ALONE)
      .send(picture.small);
  });
}
