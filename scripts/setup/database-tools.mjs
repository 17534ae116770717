import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { run, SetupError } from './run.mjs';

const LIBRARY = '/usr/lib/postgresql';

/** One of PostgreSQL's own programs: as the path has it, or the newest that Debian has put beside. */
function databaseTool(name) {
  const versions = existsSync(LIBRARY) ? readdirSync(LIBRARY).sort((a, b) => Number(b) - Number(a)) : [];
  const installed = versions.map((version) => join(LIBRARY, version, 'bin', name)).find(existsSync);
  if (installed) return installed;
  if (spawnSync(name, ['--version']).status === 0) return name;
  throw new SetupError(`${name} is not here: install the Debian package postgresql-client.`);
}

/** Runs one of them on a database; its password goes by the environment, where no list of processes shows it. */
export function runDatabaseTool(name, url, args, sentence) {
  const at = new URL(url);
  const env = { ...process.env };
  if (at.password) env.PGPASSWORD = decodeURIComponent(at.password);
  at.password = '';
  return run(databaseTool(name), [...args, '--dbname', at.href], { sentence, env, cwd: '/' });
}

/** DATABASE_URL, or the end with a sentence. */
export function databaseUrl() {
  const url = process.env.DATABASE_URL;
  if (!url || !/^postgres(ql)?:/.test(url))
    throw new SetupError('DATABASE_URL is not set: say which database, as the server is told.');
  return url;
}
