import { type IncomingMessage, STATUS_CODES } from 'node:http';
import type { Socket } from 'node:net';
import { ERROR_CODES, type ErrorAnswer, type ErrorCode } from '@mint-lamp/core/wire/errors';
import type { FastifyError, FastifyInstance, FastifyReply } from 'fastify';
import fp from 'fastify-plugin';
import { isDatabaseAway, isDiskFull } from './database/away.ts';
import { SchemaVersionAhead } from './database/schema-version-ahead.ts';

/** An error with an answer: what is wrong, and where in the request (`path`, empty for the whole of it). */
export class ApiError extends Error {
  override name = 'ApiError';
  readonly code: ErrorCode;
  readonly path: string;
  /** After how long the same may be tried again, s; 0 where waiting is of no use. */
  readonly retryAfter: number;
  constructor(code: ErrorCode, message: string, path = '', retryAfter = 0) {
    super(message);
    this.code = code;
    this.path = path;
    this.retryAfter = retryAfter;
  }
}

function toApiError(error: FastifyError | ApiError): ApiError {
  if (error instanceof ApiError) return error;
  if (error instanceof SchemaVersionAhead)
    return new ApiError(
      'FORM_AHEAD',
      'This project was changed by a newer Mint Lamp; here it can only be read.',
    );
  if (isDatabaseAway(error))
    return new ApiError('DATABASE_AWAY', 'The database does not answer. Try again shortly.');
  if (isDiskFull(error))
    return new ApiError(
      'DISK_FULL',
      'The server’s disk is full. Nothing more can be saved there until somebody makes room on it.',
    );
  const status = error.statusCode ?? 500;
  if (status === 413) return new ApiError('TOO_LARGE', 'The request is larger than is accepted here.');
  if (status === 415) return new ApiError('WRONG_MEDIA_TYPE', 'Send JSON, as application/json.');
  if (status === 405) return new ApiError('METHOD_NOT_ALLOWED', 'There is no such method.');
  if (status === 404) return new ApiError('NOT_FOUND', 'There is nothing at this address.');
  if (status >= 400 && status < 500) return new ApiError('BAD_REQUEST', error.message);
  return new ApiError('INTERNAL', 'Something went wrong in the server. It has been logged.');
}

function send(reply: FastifyReply, { code, message, path, retryAfter }: ApiError) {
  if (retryAfter) reply.header('retry-after', retryAfter);
  const answer: ErrorAnswer = { error: { code, message, path } };
  return reply.code(ERROR_CODES[code]).send(answer);
}

/** What goes with every answer that no route has had a say in. */
const BARE_HEADERS = {
  'content-type': 'application/json; charset=utf-8',
  'cache-control': 'no-store',
  'x-content-type-options': 'nosniff',
  'content-security-policy': "default-src 'none'; frame-ancestors 'none'",
};

/** For errors that Fastify meets before a request reaches a route, such as an address that cannot be decoded. */
export function answerFrameworkError(error: FastifyError, _request: unknown, reply: FastifyReply) {
  send(reply.headers(BARE_HEADERS), toApiError(error));
}

/** What is wrong with bytes that never became a request. */
function toEarlyError({ code }: { code?: string | undefined }): ApiError {
  if (code === 'HPE_HEADER_OVERFLOW')
    return new ApiError('HEAD_TOO_LARGE', 'The head of the request is too long.');
  if (code === 'ERR_HTTP_REQUEST_TIMEOUT')
    return new ApiError('TOO_SLOW', 'The request was not sent to its end in time.');
  if (code === 'HPE_INVALID_METHOD') return new ApiError('METHOD_NOT_ALLOWED', 'There is no such method.');
  return new ApiError('BAD_REQUEST', 'This is no HTTP request.');
}

/** Answers bytes that never became a request in the form of every other error, and hangs up. */
export function answerClientError(error: Error & { code?: string | undefined }, socket: Socket): void {
  // Nobody listens any more, or it is answered already.
  if (error.code === 'ECONNRESET' || !socket.writable) return void socket.destroy();
  const { code, message, path } = toEarlyError(error);
  const body = JSON.stringify({ error: { code, message, path } } satisfies ErrorAnswer);
  const status = ERROR_CODES[code];
  const headers = { ...BARE_HEADERS, 'content-length': Buffer.byteLength(body), connection: 'close' };
  const head = Object.entries(headers).map(([name, value]) => `${name}: ${value}\r\n`);
  socket.end(`HTTP/1.1 ${status} ${STATUS_CODES[status]}\r\n${head.join('')}\r\n${body}`);
}

/** Of a body that is not wanted, so much is read and thrown away, and for so long. */
const HEARD_OUT = { bytes: 64 * 1024 * 1024, ms: 10_000 };

/** Resolves when a request was sent to its end: who is still sending does not hear an answer, only that it is cut off. */
function heardOut(request: IncomingMessage): Promise<void> {
  if (request.complete || request.destroyed) return Promise.resolve();
  return new Promise((resolve) => {
    let bytes = 0;
    const onData = (chunk: Buffer) => {
      bytes += chunk.length;
      if (bytes > HEARD_OUT.bytes) end();
    };
    const timer = setTimeout(() => end(), HEARD_OUT.ms);
    const end = () => {
      clearTimeout(timer);
      request.off('data', onData).off('end', end).off('close', end);
      resolve();
    };
    request.on('data', onData).once('end', end).once('close', end);
    request.resume();
  });
}

/** Answers every error in the one form `{ error: { code, message, path } }`. */
export const errors = fp(async (app: FastifyInstance) => {
  app.setErrorHandler<FastifyError | ApiError>(async (error, request, reply) => {
    const answer = toApiError(error);
    if (answer.code === 'TOO_LARGE') await heardOut(request.raw);
    if (answer.code === 'INTERNAL' || answer.code === 'DISK_FULL') request.log.error(error);
    reply.header('cache-control', 'no-store');
    return send(reply, answer);
  });
});

export { send as sendError };
