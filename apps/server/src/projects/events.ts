import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import type { RevisionEvent } from '@mint-lamp/core/wire/projects';
import type { FastifyReply, FastifyRequest } from 'fastify';
import type { ChangeFeed } from '../live/change-feed.ts';

const KEEP_ALIVE_MS = 20_000;
/** A session that ends by its time tells nobody. */
const LOOK_AGAIN_MS = 5 * 60_000;

/** What is asked of the project: its revision, and whether whoever listens may still look at it. */
interface Asked {
  readonly revisionOf: () => Promise<number | null>;
  readonly mayStill: () => Promise<boolean>;
  /** Calls back when this process ends; returns the way out. */
  readonly onEnding: (listener: () => void) => () => void;
  /** Whether what happened is told, and who else is here: to those of the project alone. */
  readonly tellsAll: boolean;
}

/**
 * Server-sent events: the number of the newest revision whenever it grows; the news itself is fetched. Listens before
 * the present revision is read, so that none falls between; resolves to whether the project is there.
 */
export async function streamRevisions(
  request: FastifyRequest,
  reply: FastifyReply,
  changes: ChangeFeed,
  id: string,
  { revisionOf, mayStill, onEnding, tellsAll }: Asked,
): Promise<boolean> {
  const { raw } = reply;
  let waiting: (number | null)[] | null = [];
  const write = (revision: number | null, entries?: RevisionEvent['entries']) => {
    const event: RevisionEvent = {
      revision,
      ...(tellsAll && entries ? { entries, version: DOCUMENT_VERSION } : {}),
    };
    raw.write(`data: ${JSON.stringify(event)}\n\n`);
  };
  const leave = changes.subscribe(id, (revision, entries) =>
    waiting ? waiting.push(revision) : write(revision, entries),
  );
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
  // Who may no longer, or whose session ended, hears nothing more; asking again tells why.
  const look = (changed: boolean) =>
    void mayStill().then(
      (still) => {
        if (!still) raw.end();
        // What it may do is in the next news.
        else if (changed) write(null);
      },
      () => raw.end(),
    );
  const leaveAccess = changes.onAccess((changed) => {
    const other = changed?.person !== undefined && changed.person !== request.person?.id;
    if (!other && (changed?.project ?? id) === id) look(true);
  });
  // What changed between the question at the gate and here.
  look(false);
  const lookAgain = setInterval(() => look(false), LOOK_AGAIN_MS);
  const leaveHere = tellsAll
    ? changes.onHere(id, (here) => raw.write(`event: here\ndata: ${JSON.stringify({ here })}\n\n`))
    : () => {};
  // The page asks anew, and another process answers.
  const leaveEnding = onEnding(() => raw.end('event: ending\ndata:\n\n'));
  request.raw.on('close', () => {
    clearInterval(keepAlive);
    clearInterval(lookAgain);
    leave();
    leaveAccess();
    leaveHere();
    leaveEnding();
    raw.end();
  });
  return true;
}
