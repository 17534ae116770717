import { existsSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import fastifyStatic from '@fastify/static';
import { LIBRARY } from '@mint-lamp/core/demo/pictures/library';
import { LIBRARY_HOST, type LibraryAnswer } from '@mint-lamp/core/wire/pictures';
import Fastify, { type FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';

declare module 'fastify' {
  interface FastifyInstance {
    /** Names that stand for the outside world, with the port of this computer that answers for each. */
    standIns: ReadonlyMap<string, number>;
  }
}

/**
 * The stand-in for the web's pictures: a server of its own on a free port of loopback, which answers under a name
 * that leads nowhere outside. Tells the interface which pictures there are; without a folder, that there are none.
 */
export const library = fp(async (app: FastifyInstance, { root }: { root: string }) => {
  const standIns = new Map<string, number>();
  app.decorate('standIns', standIns);
  const there = root ? LIBRARY.filter(({ file }) => existsSync(join(root, file))) : [];
  app.get(
    '/api/library',
    async (): Promise<LibraryAnswer> => ({
      pictures: there.map(({ file, title }) => ({ title, address: `http://${LIBRARY_HOST}/${file}` })),
    }),
  );
  if (!there.length) return;
  const outside = Fastify({ forceCloseConnections: true });
  await outside.register(fastifyStatic, { root });
  await outside.listen({ host: '127.0.0.1', port: 0 });
  standIns.set(LIBRARY_HOST, (outside.server.address() as AddressInfo).port);
  app.addHook('onClose', () => outside.close());
});
