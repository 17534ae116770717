import type { DataSource, EntityManager } from 'typeorm';

/** Rows of a question in SQL. */
export const rowsOf = <T>(
  on: DataSource | EntityManager,
  sql: string,
  values: readonly unknown[] = [],
): Promise<T[]> => on.query(sql, [...values]);

/** How many rows an UPDATE or DELETE has changed. */
export async function changedBy(
  on: DataSource | EntityManager,
  sql: string,
  values: readonly unknown[] = [],
): Promise<number> {
  const [, count] = await on.query(sql, [...values]);
  return count;
}
