import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import { ApiError } from './errors.ts';

/** Lists and objects within each other in a body, at most; a document has fewer than ten. */
const DEEPEST = 50;

const [QUOTE, BACKSLASH] = ['"', '\\'].map((sign) => sign.charCodeAt(0));
const OPENING = new Set(['[', '{'].map((sign) => sign.charCodeAt(0)));
const CLOSING = new Set([']', '}'].map((sign) => sign.charCodeAt(0)));

/** Whether JSON text goes deeper than a body may, which would take a parser long. Text that is no JSON is no deeper. */
export function isTooDeep(text: string): boolean {
  let depth = 0;
  let quoted = false;
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i);
    if (quoted) {
      if (code === BACKSLASH) i += 1;
      else if (code === QUOTE) quoted = false;
    } else if (code === QUOTE) quoted = true;
    else if (OPENING.has(code)) {
      depth += 1;
      if (depth > DEEPEST) return true;
    } else if (CLOSING.has(code)) depth -= 1;
  }
  return false;
}

/** Reads bodies of JSON, none that reaches for prototypes or goes too deep. */
export const bodies = fp(async (app: FastifyInstance) => {
  const parse = app.getDefaultJsonParser('error', 'error');
  app.addContentTypeParser('application/json', { parseAs: 'string' }, (request, body: string, done) => {
    if (isTooDeep(body))
      done(
        new ApiError(
          'BAD_REQUEST',
          `A body has at most ${DEEPEST} lists and objects within each other.`,
          'body',
        ),
      );
    else parse(request, body, done);
  });
});
