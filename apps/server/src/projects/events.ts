import type { RevisionEvent } from '@mint-lamp/core/wire/projects';
import type { FastifyReply, FastifyRequest } from 'fastify';
import type { ChangeFeed } from '../live/change-feed.ts';

const KEEP_ALIVE_MS = 20_000;

/** Server-sent events: the number of the newest revision whenever it grows; the news itself is fetched. */
export function streamRevisions(
  request: FastifyRequest,
  reply: FastifyReply,
  changes: ChangeFeed,
  project: { readonly id: string; readonly revision: number },
): void {
  reply.hijack();
  const { raw } = reply;
  raw.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store' });
  const tell = (revision: number | null) => {
    const event: RevisionEvent = { revision };
    raw.write(`data: ${JSON.stringify(event)}\n\n`);
  };
  tell(project.revision);
  const leave = changes.subscribe(project.id, tell);
  const keepAlive = setInterval(() => raw.write(':\n\n'), KEEP_ALIVE_MS);
  request.raw.on('close', () => {
    clearInterval(keepAlive);
    leave();
    raw.end();
  });
}
