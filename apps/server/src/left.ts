import type { FastifyReply } from 'fastify';

/** Goes off when whoever asked has gone before the answer was sent; what is still worked out for them can end. */
export function leftSignal(reply: FastifyReply): AbortSignal {
  const left = new AbortController();
  const look = () => {
    if (!reply.raw.writableFinished) left.abort(new Error('Whoever asked has gone.'));
  };
  reply.raw.once('close', look);
  if (reply.raw.closed) look();
  return left.signal;
}
