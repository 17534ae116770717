import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { afterEach, describe, expect, it, test } from 'vitest';
import {
  type Cluster,
  freePort,
  ownPostmaster,
  removeCluster,
  startCluster,
  stopCluster,
  temporaryFolder,
} from '../setup/postgres.mjs';

const DEMO = new URL('../demo.mjs', import.meta.url).pathname;
const LOCK = new URL('../setup/lock.mjs', import.meta.url).href;
const clusters: Cluster[] = [];
const folders: string[] = [];

const place = () => {
  const folder = temporaryFolder();
  folders.push(folder);
  return folder;
};
const lit = async (folder: string) => {
  const cluster = await startCluster(folder);
  clusters.push(cluster);
  return cluster;
};
/** One that has ended and that nobody has asked about yet has no command line any more. */
const isAlive = (pid: number) =>
  existsSync(`/proc/${pid}/cmdline`) && readFileSync(`/proc/${pid}/cmdline`, 'utf8') !== '';

afterEach(() => {
  for (const cluster of clusters.splice(0)) cluster.stop();
  for (const folder of folders.splice(0)) {
    stopCluster(folder);
    rmSync(dirname(folder), { recursive: true, force: true });
  }
});

describe('the database of a checkout', () => {
  it('is known by its folder: another that a left-over pid file names is neither used nor stopped', async () => {
    const theirs = await lit(place());
    const pid = theirs.pid()!;
    const mine = place();
    mkdirSync(mine);
    // As a power cut leaves it, when the number has gone to another PostgreSQL since.
    writeFileSync(join(mine, 'postmaster.pid'), `${pid}\n${mine}\n0\n${theirs.port}\n`);
    expect(ownPostmaster(mine)).toBeNull();
    stopCluster(mine);
    removeCluster(mine);
    expect(isAlive(pid)).toBe(true);
    expect(theirs.pid()).toBe(pid);
    const own = await lit(mine);
    expect(own.port).not.toBe(theirs.port);
    own.stop();
    expect(own.pid()).toBeNull();
    expect(isAlive(pid)).toBe(true);
  });

  it('that was never finished is made anew, and leaves nothing beside it', async () => {
    const folder = place();
    mkdirSync(folder);
    writeFileSync(join(folder, 'PG_VERSION'), '15\n');
    mkdirSync(`${folder}.making-1`);
    writeFileSync(`${folder}.making-1-word`, 'half a word');
    const cluster = await lit(folder);
    expect(cluster.pid()).not.toBeNull();
    expect(readdirSync(dirname(folder))).toEqual(['data']);
  });

  test.each(['PG_VERSION', 'global/pg_control', 'pg_wal', 'mint-lamp-password'])(
    'is started over also without its %s, while it runs',
    async (part) => {
      const folder = place();
      const { pid } = await lit(folder);
      const old = pid()!;
      rmSync(join(folder, part), { recursive: true });
      removeCluster(folder);
      expect(isAlive(old)).toBe(false);
      expect(existsSync(folder)).toBe(false);
    },
  );

  it('says what is missing where it is damaged, and touches nothing', async () => {
    const folder = place();
    (await lit(folder)).stop();
    rmSync(join(folder, 'global/pg_control'));
    await expect(startCluster(folder)).rejects.toThrow(/damaged: global\/pg_control is missing.*--fresh/);
    expect(existsSync(join(folder, 'PG_VERSION'))).toBe(true);
  });
});

describe('the lock of a folder', () => {
  /** Holds the folder in another process until that is killed. */
  const holder = async (folder: string): Promise<ChildProcess> => {
    const code = `import { holdFolder } from ${JSON.stringify(LOCK)};
      const lock = await holdFolder(${JSON.stringify(folder)}); lock.say('It is lit at http://127.0.0.1:1.');
      console.log('held'); setInterval(() => {}, 1000);`;
    const child = spawn('node', ['--input-type=module', '-e', code], {
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    await once(child.stdout!, 'data');
    return child;
  };

  it('is one process’s own, says who has it, and goes with that process', async () => {
    const { holdFolder } = await import('../setup/lock.mjs');
    const folder = `/made-up/${process.pid}`;
    const other = await holder(folder);
    await expect(holdFolder(folder)).rejects.toThrow(
      /runs already from this folder\. It is lit at http:\/\/127\.0\.0\.1:1\. Stop it there/,
    );
    const gone = once(other, 'exit');
    other.kill('SIGKILL');
    await gone;
    const lock = await holdFolder(folder);
    await lock.release();
  });
});

// Whole starts of the demo, each of some seconds.
describe.skipIf(!process.env.LONG_TESTS)('npm run demo', () => {
  const demo = (folder: string, port: number) => {
    const env = { ...process.env, MINT_LAMP_DATA: folder, PORT: String(port) };
    const child = spawn('node', [DEMO], { env, stdio: ['ignore', 'pipe', 'pipe'] });
    let said = '';
    for (const stream of [child.stdout, child.stderr])
      stream.setEncoding('utf8').on('data', (text) => {
        said += text;
      });
    return { child, said: () => said, gone: once(child, 'exit') };
  };
  const litUp = (one: { said: () => string }) =>
    expect.poll(one.said, { timeout: 60_000 }).toContain('is lit');

  it('refuses a second one in the same checkout, which leaves the first alone', async () => {
    const folder = place();
    const port = await freePort();
    const first = demo(folder, port);
    await litUp(first);
    const second = demo(folder, await freePort());
    expect((await second.gone)[0]).toBe(1);
    expect(second.said()).toContain(`It is lit at http://127.0.0.1:${port}.`);
    expect((await fetch(`http://127.0.0.1:${port}/api/health`)).status).toBe(200);
    first.child.kill('SIGINT');
    expect((await first.gone)[0]).toBe(0);
    expect(ownPostmaster(folder)).toBeNull();
  });

  it('says so when its server is killed, ends with an error, and stops the database', async () => {
    const folder = place();
    const one = demo(folder, await freePort());
    await litUp(one);
    const { stdout } = spawnSync('pgrep', ['-P', String(one.child.pid), '-f', 'apps/server/dist'], {
      encoding: 'utf8',
    });
    process.kill(Number(stdout.trim()), 'SIGKILL');
    expect((await one.gone)[0]).toBe(1);
    expect(one.said()).toContain('ended by SIGKILL');
    expect(ownPostmaster(folder)).toBeNull();
  });

  it('starts after it was killed hard while it made its database', async () => {
    const folder = place();
    const first = demo(folder, await freePort());
    const isMaking = () => readdirSync(dirname(folder)).some((name) => name.includes('.making-'));
    await expect.poll(isMaking, { timeout: 60_000, interval: 5 }).toBe(true);
    first.child.kill('SIGKILL');
    await first.gone;
    const second = demo(folder, await freePort());
    await litUp(second);
    expect(readFileSync(join(folder, 'PG_VERSION'), 'utf8').trim()).toMatch(/^\d+$/);
    second.child.kill('SIGTERM');
    expect((await second.gone)[0]).toBe(0);
  });
});
