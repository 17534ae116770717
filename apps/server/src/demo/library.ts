import { existsSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import fastifyStatic from '@fastify/static';
import { LIBRARY } from '@mint-lamp/core/demo/pictures/library';
import { LIBRARY_HOST } from '@mint-lamp/core/wire/pictures';
import Fastify from 'fastify';
import type { Outside } from '../library/routes.ts';

/**
 * The stand-in for the web's pictures: a server of its own on a free port of loopback, which answers under a name
 * that leads nowhere outside. `root` is the folder of what was drawn for it.
 */
export async function openLibrary(root: string): Promise<Outside & { readonly close: () => Promise<void> }> {
  const there = LIBRARY.filter(({ file }) => existsSync(join(root, file)));
  const server = Fastify({ forceCloseConnections: true });
  await server.register(fastifyStatic, { root });
  await server.listen({ host: '127.0.0.1', port: 0 });
  return {
    standIns: new Map([[LIBRARY_HOST, (server.server.address() as AddressInfo).port]]),
    pictures: there.map(({ file, title }) => ({ title, address: `http://${LIBRARY_HOST}/${file}` })),
    close: () => server.close(),
  };
}
