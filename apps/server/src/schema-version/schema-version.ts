import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import { SCHEMA_VERSION_HEADER, VERSION_WITHOUT_HEADER } from '@mint-lamp/core/wire/schema-version';
import type { FastifyInstance, FastifyRequest } from 'fastify';
import fp from 'fastify-plugin';
import { ApiError } from '../errors.ts';

/** Every answer says in which schema version this server writes documents and commands, and those of the API are not kept unless they say so. */
export const schemaVersion = fp(async (app: FastifyInstance) => {
  app.addHook('onSend', async ({ url }, reply) => {
    reply.header(SCHEMA_VERSION_HEADER, DOCUMENT_VERSION);
    // What the API answers is true for now only, unless its route says otherwise.
    if (url.startsWith('/api/') && !reply.hasHeader('cache-control'))
      reply.header('cache-control', 'no-store');
  });
});

/** Refuses a page of another schema version than this server. For routes that carry documents or commands. */
export async function sameSchemaVersion(request: FastifyRequest): Promise<void> {
  const said = Number(request.headers[SCHEMA_VERSION_HEADER] ?? VERSION_WITHOUT_HEADER);
  if (said < DOCUMENT_VERSION)
    throw new ApiError(
      'PAGE_OUTDATED',
      'Mint Lamp has been updated: load this page anew. Your edits are kept and sent then.',
    );
  if (said > DOCUMENT_VERSION)
    throw new ApiError(
      'SERVER_OUTDATED',
      'This server is older than the page. Edits are kept until it is not.',
    );
}
