import { inject } from 'vitest';

/** Where the database of this worker is, which no file that runs at the same time uses. */
export function ownDatabase(): string {
  const url = new URL(inject('databaseUrl'));
  url.pathname = `/tests_${process.env.VITEST_POOL_ID}`;
  return url.href;
}
