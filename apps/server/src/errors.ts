import { ERROR_CODES, type ErrorAnswer, type ErrorCode } from '@mint-lamp/core/wire/errors';
import type { FastifyError, FastifyInstance, FastifyReply } from 'fastify';
import fp from 'fastify-plugin';
import { isDatabaseAway } from './database/away.ts';
import { FormAhead } from './database/project-store.ts';

/** An error with an answer: what is wrong, and where in the request (`path`, empty for the whole of it). */
export class ApiError extends Error {
  override name = 'ApiError';
  readonly code: ErrorCode;
  readonly path: string;
  constructor(code: ErrorCode, message: string, path = '') {
    super(message);
    this.code = code;
    this.path = path;
  }
}

function toApiError(error: FastifyError | ApiError): ApiError {
  if (error instanceof ApiError) return error;
  if (error instanceof FormAhead)
    return new ApiError(
      'FORM_AHEAD',
      'This project was changed by a newer Mint Lamp; here it can only be read.',
    );
  if (isDatabaseAway(error))
    return new ApiError('DATABASE_AWAY', 'The database does not answer. Try again shortly.');
  const status = error.statusCode ?? 500;
  if (status === 413) return new ApiError('TOO_LARGE', 'The request is larger than is accepted here.');
  if (status === 415) return new ApiError('WRONG_MEDIA_TYPE', 'Send JSON, as application/json.');
  if (status === 404) return new ApiError('NOT_FOUND', 'There is nothing at this address.');
  if (status >= 400 && status < 500) return new ApiError('BAD_REQUEST', error.message);
  return new ApiError('INTERNAL', 'Something went wrong in the server. It has been logged.');
}

function send(reply: FastifyReply, { code, message, path }: ApiError) {
  const answer: ErrorAnswer = { error: { code, message, path } };
  return reply.code(ERROR_CODES[code]).send(answer);
}

/** For errors that Fastify meets before a request reaches a route, such as an address that cannot be decoded. */
export function answerFrameworkError(error: FastifyError, _request: unknown, reply: FastifyReply) {
  send(reply, toApiError(error));
}

/** Answers every error in the one form `{ error: { code, message, path } }`. */
export const errors = fp(async (app: FastifyInstance) => {
  app.setErrorHandler<FastifyError | ApiError>((error, request, reply) => {
    const answer = toApiError(error);
    if (answer.code === 'INTERNAL') request.log.error(error);
    return send(reply, answer);
  });
});

export { send as sendError };
