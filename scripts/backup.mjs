import { existsSync, renameSync, rmSync, statSync } from 'node:fs';
import { resolve } from 'node:path';
import { copyFromBucket } from './setup/bucket-copy.mjs';
import { databaseUrl, runDatabaseTool } from './setup/database-tools.mjs';
import { main, SetupError } from './setup/run.mjs';

// npm run backup -- FILE: everything that a server has, of the database that DATABASE_URL names, while it runs. FILE is
// pg_dump's custom form; where pictures lie in a bucket (PICTURES_URL), they are copied into FILE.pictures beside it.
await main(async () => {
  const named = process.argv[2];
  if (!named) throw new SetupError('Say where to: npm run backup -- /var/backups/mint-lamp-2026-11-30.dump');
  const file = resolve(named);
  if (existsSync(file)) throw new SetupError(`${file} is there already; a backup is written over by none.`);
  const url = databaseUrl();
  const half = `${file}.part`;
  try {
    // One moment of the database: what is done meanwhile is in the next one.
    runDatabaseTool(
      'pg_dump',
      url,
      ['--format=custom', '--no-owner', '--no-privileges', '--file', half],
      'The database could not be read.',
    );
    const pictures = process.env.PICTURES_URL
      ? await copyFromBucket(process.env.PICTURES_URL, `${file}.pictures`)
      : null;
    renameSync(half, file);
    const size = `${(statSync(file).size / 1e6).toFixed(1)} MB`;
    console.log(`${file}: ${size}${pictures === null ? '' : `, and ${pictures} pictures beside it`}`);
  } finally {
    rmSync(half, { force: true });
  }
});
