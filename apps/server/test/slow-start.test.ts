import { once } from 'node:events';
import { type AddressInfo, connect, createServer, type Socket } from 'node:net';
import { expect, test } from 'vitest';
import { openDatabase } from '../src/database/data-source.ts';
import { ownDatabase } from './own-database.ts';

/** Longer than a connection for the daily work may take. */
const LATE_MS = 3200;

test('a database that lets the first connections in late is waited for', async () => {
  const { port, hostname } = new URL(ownDatabase());
  const sockets = new Set<Socket>();
  let late = 3;
  const slow = createServer((inside) => {
    sockets.add(inside);
    inside.on('error', () => {});
    setTimeout(
      () => {
        const outside = connect(Number(port), hostname);
        sockets.add(outside);
        outside.on('error', () => {});
        inside.pipe(outside).pipe(inside);
      },
      late-- > 0 ? LATE_MS : 0,
    );
  });
  slow.listen(0, '127.0.0.1');
  await once(slow, 'listening');
  const through = new URL(ownDatabase());
  through.port = String((slow.address() as AddressInfo).port);
  const source = await openDatabase(through.href);
  expect(late).toBeLessThanOrEqual(0);
  expect(await source.query('SELECT 1 AS one')).toEqual([{ one: 1 }]);
  await source.destroy();
  for (const socket of sockets) socket.destroy();
  slow.close();
}, 60_000);
