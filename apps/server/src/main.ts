import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { buildApp } from './app.ts';
import { isDatabaseAway } from './database/away.ts';
import { openDatabase } from './database/data-source.ts';
import { loadDemo } from './demo/load.ts';
import { ensureLocalOwner } from './owner/owner.ts';
import { shipReadyMade } from './shelf/ship.ts';

// Settings come from the environment; the start scripts set them.
const {
  DATABASE_URL,
  PORT = '5170',
  WEB_ROOT,
  LOG_LEVEL = 'info',
  DEMO_DATA,
  HOST_NAMES,
  LIBRARY_ROOT = '',
} = process.env;

function fail(sentence: string): never {
  console.error(sentence);
  process.exit(1);
}

if (!DATABASE_URL) fail('DATABASE_URL is not set: start the app with "npm run demo".');

const database = await openDatabase(DATABASE_URL).catch((error: unknown) =>
  fail(
    isDatabaseAway(error)
      ? 'The database does not answer at the address in DATABASE_URL. Start it, or use "npm run demo".'
      : `The database could not be opened: ${error instanceof Error ? error.message : error}`,
  ),
);
await ensureLocalOwner(database);
await shipReadyMade(database);
if (DEMO_DATA) await loadDemo(database, LIBRARY_ROOT);

const app = await buildApp({
  database,
  webRoot: WEB_ROOT ?? resolve(fileURLToPath(import.meta.url), '../../../web/dist'),
  libraryRoot: LIBRARY_ROOT,
  logger: { level: LOG_LEVEL },
  ...(HOST_NAMES ? { names: HOST_NAMES.split(/[\s,]+/).filter(Boolean) } : {}),
});

await app
  .listen({ host: '127.0.0.1', port: Number(PORT) })
  .catch((error: NodeJS.ErrnoException) =>
    fail(
      error.code === 'EADDRINUSE'
        ? `Port ${PORT} is taken by another program. Choose another with PORT=5180 npm run demo.`
        : `The server could not listen on port ${PORT}: ${error.message}`,
    ),
  );

// Whoever started this process may wait for it.
process.send?.('listening');

/** What is still going on after so long is cut off, ms. */
const LONGEST_END_MS = 10_000;

for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.once(signal, async () => {
    setTimeout(() => process.exit(0), LONGEST_END_MS).unref();
    await app.close();
    await database.destroy().catch(() => {});
    process.exit(0);
  });
