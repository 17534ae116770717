import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { copyToBucket } from './setup/bucket-copy.mjs';
import { databaseUrl, runDatabaseTool } from './setup/database-tools.mjs';
import { main, SetupError } from './setup/run.mjs';

// npm run restore -- FILE: what `npm run backup` has written, into the empty database that DATABASE_URL names; all of it or
// nothing. Pictures beside it go into the bucket of PICTURES_URL.
await main(async () => {
  const named = process.argv[2];
  if (!named || !existsSync(resolve(named)))
    throw new SetupError('Say which: npm run restore -- /var/backups/mint-lamp-2026-11-30.dump');
  const file = resolve(named);
  const url = databaseUrl();
  const tables = runDatabaseTool(
    'psql',
    url,
    ['-qAt', '-c', "SELECT count(*) FROM pg_tables WHERE schemaname = 'public'"],
    'The database could not be reached.',
  ).trim();
  if (tables !== '0')
    throw new SetupError(
      `The database has ${tables} tables already, and nothing is written over: make an empty one, such as with "createdb mint_lamp", and name that in DATABASE_URL.`,
    );
  const beside = `${file}.pictures`;
  if (existsSync(beside) && !process.env.PICTURES_URL)
    throw new SetupError(
      `The pictures of this backup lie in ${beside}: say in PICTURES_URL which bucket they go to.`,
    );
  runDatabaseTool(
    'pg_restore',
    url,
    ['--no-owner', '--no-privileges', '--exit-on-error', '--single-transaction', file],
    'The backup could not be restored; the database is as empty as it was.',
  );
  const pictures = existsSync(beside) ? await copyToBucket(process.env.PICTURES_URL, beside) : null;
  console.log(`It is all there${pictures === null ? '' : `, with ${pictures} pictures`}. Start the server.`);
});
