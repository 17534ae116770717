import type { RevisionEvent } from '@mint-lamp/core/wire/projects';
import type { FastifyReply, FastifyRequest } from 'fastify';
import type { ChangeFeed } from '../live/change-feed.ts';

const KEEP_ALIVE_MS = 20_000;

/**
 * Server-sent events: the number of the newest revision whenever it grows; the news itself is fetched. Listens before
 * the present revision is read, so that none falls between; resolves to whether the project is there.
 */
export async function streamRevisions(
  request: FastifyRequest,
  reply: FastifyReply,
  changes: ChangeFeed,
  id: string,
  revisionOf: () => Promise<number | null>,
): Promise<boolean> {
  const { raw } = reply;
  let waiting: (number | null)[] | null = [];
  const write = (revision: number | null) => {
    const event: RevisionEvent = { revision };
    raw.write(`data: ${JSON.stringify(event)}\n\n`);
  };
  const leave = changes.subscribe(id, (revision) => (waiting ? waiting.push(revision) : write(revision)));
  const revision = await revisionOf().catch((error: unknown) => {
    leave();
    throw error;
  });
  // Whoever has given up meanwhile gets nothing, and leaves nothing behind.
  if (revision === null || request.raw.destroyed || raw.destroyed) {
    leave();
    return revision !== null;
  }
  reply.hijack();
  raw.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store' });
  write(revision);
  for (const missed of waiting) write(missed);
  waiting = null;
  // An event and no comment, which a page does not hear.
  const keepAlive = setInterval(() => raw.write('event: alive\ndata:\n\n'), KEEP_ALIVE_MS);
  request.raw.on('close', () => {
    clearInterval(keepAlive);
    leave();
    raw.end();
  });
  return true;
}
