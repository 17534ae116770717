import type { Mailbox } from '@mint-lamp/core/wire/people';
import type { FastifyInstance } from 'fastify';
import { needs } from '../access/needs.ts';
import { ApiError } from '../errors.ts';

/** Letters that the mailbox shows, at most. */
const SHOWN = 200;

/**
 * `/api/mailbox`: letters that would go out, where a server has no mail of its own. They lead into accounts, so that they
 * are for who looks after the server, who has asked for such a mailbox.
 */
export async function mailboxRoutes(app: FastifyInstance): Promise<void> {
  const { letters } = app;
  app.get('/', needs('administrator'), async (): Promise<Mailbox> => {
    if (!letters.here) throw new ApiError('NOT_FOUND', 'There is nothing at this address.');
    return { letters: await letters.store.list(SHOWN) };
  });
}
