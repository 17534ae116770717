import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { DataSource } from 'typeorm';
import { ensureLocalPerson } from './access/local-person.ts';
import { type AppOptions, buildApp } from './app.ts';
import { isDatabaseAway } from './database/away.ts';
import { openDatabase, openReplica } from './database/data-source.ts';
import type { Outside } from './library/routes.ts';
import { loggerAt } from './logging/logging.ts';
import type { PictureBucket } from './pictures/storing/bucket.ts';
import { shipReadyMade } from './shelf/ship.ts';

/** What a server is told when it starts. */
export interface Serving {
  readonly databaseUrl: string;
  readonly connections?: number;
  /** Of a copy of the database that only reads are asked of. */
  readonly replicaUrl?: string | null;
  /** Where pictures lie; in the database if left out. */
  readonly pictures?: PictureBucket | null;
  readonly host: string;
  readonly port: number;
  readonly logLevel: string;
  readonly webRoot?: string | undefined;
  readonly app: Pick<AppOptions, 'names' | 'people' | 'mail' | 'trustProxy' | 'grace' | 'metrics'>;
}

/** What a server has beside what it always has. */
export interface Beside {
  /** Done once with the database before anybody is served. */
  readonly prepare?: (database: DataSource) => Promise<void>;
  readonly outside?: Outside;
  /** Done when it listens. */
  readonly listening?: (app: Awaited<ReturnType<typeof buildApp>>) => Promise<void>;
}

/** Beyond what is under way, so long is waited for connections to end, ms. */
const LONGEST_END_MS = 10_000;
const WEB_ROOT = resolve(fileURLToPath(import.meta.url), '../../../web/dist');

export function fail(sentence: string): never {
  console.error(sentence);
  process.exit(1);
}

/** Why the database could not be opened, in a sentence. */
const whyNotOpened = (error: unknown): string =>
  isDatabaseAway(error)
    ? 'The database does not answer at the address in DATABASE_URL. Start it, or mend the address.'
    : `The database could not be opened: ${error instanceof Error ? error.message : error}`;

/** Serves until the process is told to end. */
export async function serve(
  {
    databaseUrl,
    connections = 10,
    replicaUrl = null,
    pictures = null,
    host,
    port,
    logLevel,
    webRoot = WEB_ROOT,
    app: options,
  }: Serving,
  { prepare, outside, listening }: Beside = {},
): Promise<void> {
  const database = await openDatabase(databaseUrl, { connections }).catch((error: unknown) =>
    fail(whyNotOpened(error)),
  );
  await ensureLocalPerson(database);
  await shipReadyMade(database);
  await prepare?.(database);

  const replica = replicaUrl ? await openReplica(replicaUrl, connections) : null;
  if (replicaUrl && !replica)
    console.error(
      'The replica at DATABASE_REPLICA_URL does not answer: the database itself is asked until the next start.',
    );
  // Its package is large: only who has a bucket loads it.
  const bucket = pictures && (await import('./pictures/storing/bucket.ts')).openBucket(pictures);
  const app = await buildApp({
    database,
    replica,
    bucket,
    webRoot,
    logger: loggerAt(logLevel),
    ...(outside ? { outside } : {}),
    ...options,
  }).catch((error: NodeJS.ErrnoException) =>
    fail(
      error.code === 'EADDRINUSE'
        ? `METRICS_PORT ${options.metrics?.port} is taken by another program: choose another.`
        : `The server could not be made: ${error.stack}`,
    ),
  );

  await app
    .listen({ host, port })
    .catch((error: NodeJS.ErrnoException) =>
      fail(
        error.code === 'EADDRINUSE'
          ? `PORT ${port} is taken by another program: choose another.`
          : `The server could not listen at HOST ${host}, PORT ${port}: ${error.message}`,
      ),
    );
  await listening?.(app);

  // Whoever started this process may wait for it.
  process.send?.('listening');

  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.once(signal, async () => {
      setTimeout(() => process.exit(0), (options.grace ?? 0) + LONGEST_END_MS).unref();
      await app.close();
      bucket?.close();
      await replica?.destroy().catch(() => {});
      await database.destroy().catch(() => {});
      process.exit(0);
    });
}
