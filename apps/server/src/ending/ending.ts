import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';

declare module 'fastify' {
  interface FastifyInstance {
    ending: Ending;
  }
}

interface Ending {
  readonly begun: boolean;
  /** Calls back when the server begins to end; returns the way out. */
  onBegin(listener: () => void): () => void;
}

/**
 * How a server ends: it listens no more, tells those who hear its events, and finishes what it has, what still comes on
 * connections that are open included, for `grace` ms at most. Before the plugins whose work that is, so that its waiting
 * comes before they are closed.
 */
export const ending = fp(async (app: FastifyInstance, { grace }: { grace: number }) => {
  const listeners = new Set<() => void>();
  const running = new Set<object>();
  let begun = false;
  let idle = () => {};

  app.decorate('ending', {
    get begun() {
      return begun;
    },
    onBegin(listener) {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
  });

  app.addHook('onRequest', async (request, reply) => {
    running.add(request);
    // Of a file that is sent, streams listen too; ten at most, and this one.
    reply.raw.setMaxListeners(20);
    reply.raw.once('close', () => {
      running.delete(request);
      if (!running.size) idle();
    });
  });

  app.addHook('preClose', async () => {
    begun = true;
    // What is on its way on connections that are open is still answered, and is the last on each.
    if (app.server.listening) app.server.close();
    for (const listener of [...listeners]) listener();
    if (!running.size || !grace) return;
    await new Promise<void>((resolve) => {
      const timer = setTimeout(resolve, grace);
      idle = () => {
        clearTimeout(timer);
        resolve();
      };
    });
  });
});
