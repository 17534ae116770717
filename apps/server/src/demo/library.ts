import { existsSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import fastifyStatic from '@fastify/static';
import { FERRY_DRAWING, LAMP_HOUSE_DRAWING } from '@mint-lamp/core/demo/drawings';
import {
  OLD_COLOURS_SHEET,
  OLD_PAGE,
  OLD_SHEET,
  OLD_SITE_SHEET,
  OLD_TIMETABLE,
} from '@mint-lamp/core/demo/page';
import { LIBRARY } from '@mint-lamp/core/demo/pictures/library';

import { LIBRARY_HOST } from '@mint-lamp/core/wire/pictures';
import Fastify from 'fastify';
import type { Outside } from '../library/routes.ts';
import { PROTOTYPE_PAGE } from './prototype.ts';

/** A page with its style sheet, and drawings, of the made-up web. */
const TEXTS: Readonly<Record<string, { type: string; text: string; title?: string }>> = {
  'deck-notices.html': { type: 'text/html', text: OLD_PAGE, title: 'Deck notices, a page' },
  'deck-notices.css': { type: 'text/css', text: OLD_SHEET },
  'timetable.html': { type: 'text/html', text: OLD_TIMETABLE, title: 'The old timetable, a page' },
  'old-site.css': { type: 'text/css', text: OLD_SITE_SHEET },
  'old-colours.css': { type: 'text/css', text: OLD_COLOURS_SHEET },
  'ferry.svg': { type: 'image/svg+xml', text: FERRY_DRAWING, title: 'The ferry, a drawing' },
  'lamp-house.svg': { type: 'image/svg+xml', text: LAMP_HOUSE_DRAWING, title: 'The lamp house, a drawing' },
};

/**
 * The stand-in for the web's pictures, drawings and pages: a server of its own on a free port of loopback, which answers under a name
 * that leads nowhere outside. `root` is the folder of what was drawn for it.
 */
export async function openLibrary(root: string): Promise<Outside & { readonly close: () => Promise<void> }> {
  const there = LIBRARY.filter(({ file }) => existsSync(join(root, file)));
  const server = Fastify({ forceCloseConnections: true });
  await server.register(fastifyStatic, { root });
  for (const [file, { type, text }] of Object.entries(TEXTS))
    server.get(`/${file}`, async (_, reply) => reply.type(type).send(text));
  server.get('/prototype.html', async (_, reply) => reply.type('text/html').send(PROTOTYPE_PAGE));
  await server.listen({ host: '127.0.0.1', port: 0 });
  const { port } = server.server.address() as AddressInfo;
  return {
    standIns: new Map([[LIBRARY_HOST, port]]),
    // A browser opens it itself, so it stands where it is reached.
    prototype: `http://127.0.0.1:${port}/prototype.html`,
    pictures: there.map(({ file, title }) => ({ title, address: `http://${LIBRARY_HOST}/${file}` })),
    artworks: Object.entries(TEXTS).flatMap(([file, { title }]) =>
      title ? [{ title, address: `http://${LIBRARY_HOST}/${file}` }] : [],
    ),
    close: () => server.close(),
  };
}
