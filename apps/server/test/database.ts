import { startCluster, temporaryFolder } from '../../../scripts/setup/postgres.mjs';

declare module 'vitest' {
  interface ProvidedContext {
    databaseUrl: string;
  }
}

/** A cluster of its own for this run of the tests, removed at the end. @public Named in the settings of the tests. */
export default async function setup({ provide }: { provide: (key: 'databaseUrl', value: string) => void }) {
  const cluster = await startCluster(temporaryFolder());
  provide('databaseUrl', cluster.url);
  return () => {
    cluster.stop();
    cluster.remove();
  };
}
