import { DataSource } from 'typeorm';

/** What is said of a database that a server could use, without changing anything in it. Rejects where it could not. */
export async function checkDatabase(url: string): Promise<string> {
  const source = new DataSource({ type: 'postgres', url, extra: { connectionTimeoutMillis: 5000, max: 1 } });
  await source.initialize();
  try {
    const [{ version, migrations, mayCreate, replica }] = await source.query(
      `SELECT current_setting('server_version') AS version, to_regclass('migrations') AS migrations,
         has_schema_privilege(current_schema(), 'CREATE') AS "mayCreate", pg_is_in_recovery() AS replica`,
    );
    if (Number.parseInt(version, 10) < 13)
      throw new Error(`PostgreSQL ${version} is too old; it takes 13 or newer`);
    if (replica) return `a replica, PostgreSQL ${version}`;
    if (!mayCreate) throw new Error('this user may not make tables there');
    return `PostgreSQL ${version}, ${migrations ? 'with what Mint Lamp has made' : 'nothing of Mint Lamp is there yet'}`;
  } finally {
    await source.destroy();
  }
}
