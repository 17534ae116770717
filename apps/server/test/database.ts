import { availableParallelism } from 'node:os';
import pg from 'pg';
import { startCluster, temporaryFolder } from '../../../scripts/setup/postgres.mjs';

declare module 'vitest' {
  interface ProvidedContext {
    databaseUrl: string;
  }
}

/**
 * A cluster of its own for this run of the tests, removed at the end, with a database for each worker: files that run at
 * the same time do not see each other's projects. @public Named in the settings of the tests.
 */
export default async function setup({ provide }: { provide: (key: 'databaseUrl', value: string) => void }) {
  const cluster = await startCluster(temporaryFolder());
  const client = new pg.Client(cluster.url);
  await client.connect();
  for (let worker = 1; worker <= Math.max(2, availableParallelism()); worker++)
    await client.query(`CREATE DATABASE tests_${worker}`);
  await client.end();
  provide('databaseUrl', cluster.url);
  return () => {
    cluster.stop();
    cluster.remove();
  };
}
