import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { DataSource } from 'typeorm';
import { buildApp } from './app.ts';
import { isDatabaseAway } from './database/away.ts';
import { openDatabase } from './database/data-source.ts';
import type { Outside } from './library/routes.ts';
import { ensureLocalOwner } from './owner/owner.ts';
import { shipReadyMade } from './shelf/ship.ts';

/** What a server has beside what it always has. */
export interface Beside {
  /** Done once with the database before anybody is served. */
  readonly prepare?: (database: DataSource) => Promise<void>;
  readonly outside?: Outside;
}

/** What is still going on after so long is cut off, ms. */
const LONGEST_END_MS = 10_000;

function fail(sentence: string): never {
  console.error(sentence);
  process.exit(1);
}

/** Serves until the process is told to end. Settings come from the environment; the start scripts set them. */
export async function serve({ prepare, outside }: Beside = {}): Promise<void> {
  const { DATABASE_URL, PORT = '5170', WEB_ROOT, LOG_LEVEL = 'info', HOST_NAMES } = process.env;
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
  await prepare?.(database);

  const app = await buildApp({
    database,
    webRoot: WEB_ROOT ?? resolve(fileURLToPath(import.meta.url), '../../../web/dist'),
    logger: { level: LOG_LEVEL },
    ...(outside ? { outside } : {}),
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

  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.once(signal, async () => {
      setTimeout(() => process.exit(0), LONGEST_END_MS).unref();
      await app.close();
      await database.destroy().catch(() => {});
      process.exit(0);
    });
}
