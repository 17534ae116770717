import { EventEmitter } from 'node:events';
import type { FastifyReply, FastifyRequest } from 'fastify';
import type { DataSource } from 'typeorm';
import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { openDatabase } from '../src/database/data-source.ts';
import { type ChangeFeed, openChangeFeed } from '../src/live/change-feed.ts';
import { CHANNEL } from '../src/live/channel.ts';
import { streamRevisions } from '../src/projects/events.ts';
import { ownDatabase } from './own-database.ts';

const ID = '00000000-0000-4000-8000-000000000001';

describe('a stream of revisions', () => {
  let listeners: Set<(revision: number | null) => void>;
  let changes: ChangeFeed;
  let connection: EventEmitter & { destroyed: boolean };
  let written: string[];

  beforeEach(() => {
    listeners = new Set();
    changes = {
      subscribe: (_, listener) => {
        listeners.add(listener);
        return () => listeners.delete(listener);
      },
      onAccess: () => () => {},
      onDrag: () => () => {},
      onHere: () => () => {},
      listening: () => listeners.size,
      close: async () => {},
    };
    connection = Object.assign(new EventEmitter(), { destroyed: false });
    written = [];
  });

  const stream = (revisionOf: () => Promise<number | null>) => {
    const raw = {
      destroyed: false,
      writeHead: vi.fn(),
      write: (text: string) => written.push(text),
      end: vi.fn(),
    };
    const reply = { raw, hijack: vi.fn() } as unknown as FastifyReply;
    return streamRevisions({ raw: connection } as unknown as FastifyRequest, reply, changes, ID, {
      revisionOf,
      mayStill: async () => true,
      onEnding: () => () => {},
      tellsAll: false,
    });
  };
  const told = () => written.map((text) => JSON.parse(text.slice('data: '.length)).revision);

  it('begins with the revision there is, goes on with every new one, and ends with its connection', async () => {
    expect(await stream(async () => 3)).toBe(true);
    for (const listener of listeners) listener(4);
    expect(told()).toEqual([3, 4]);
    connection.emit('close');
    expect(listeners.size).toBe(0);
  });

  it('tells what was committed while the present revision was being read', async () => {
    await stream(async () => {
      for (const listener of listeners) listener(4);
      return 3;
    });
    expect(told()).toEqual([3, 4]);
    connection.emit('close');
  });

  it('leaves nothing behind when it is given up early, when there is no project, or when reading fails', async () => {
    const givenUp = stream(async () => {
      connection.destroyed = true;
      return 3;
    });
    expect(await givenUp).toBe(true);
    connection.destroyed = false;
    expect(await stream(async () => null)).toBe(false);
    await expect(stream(() => Promise.reject(new Error('away')))).rejects.toThrow('away');
    expect(listeners.size).toBe(0);
    expect(written).toEqual([]);
  });
});

describe('the feed of changes', () => {
  let database: DataSource;
  beforeAll(async () => {
    database = await openDatabase(ownDatabase());
  });
  afterAll(() => database.destroy());

  const notify = (payload: string) => database.query('SELECT pg_notify($1, $2)', [CHANNEL, payload]);
  const listening = async () => {
    const rows = await database.query(
      `SELECT count(*)::int AS n FROM pg_stat_activity WHERE query = 'LISTEN ${CHANNEL}' AND state = 'idle'`,
    );
    return rows[0].n as number;
  };

  it('goes on after notices that are none of ours', async () => {
    const feed = openChangeFeed(database);
    const heard: (number | null)[] = [];
    feed.subscribe(ID, (revision) => heard.push(revision));
    // It says that something may have been missed as soon as it listens.
    await vi.waitFor(() => expect(heard).toEqual([null]));
    for (const payload of [
      '',
      'nonsense',
      'null',
      '7',
      '{}',
      `{"id":"${ID}"}`,
      `{"id":"${ID}","revision":"x"}`,
    ])
      await notify(payload);
    await notify(JSON.stringify({ id: ID, revision: 5 }));
    await vi.waitFor(() => expect(heard).toEqual([null, 5]));
    await feed.close();
  });

  it('leaves no connection behind when it is closed while it connects', async () => {
    const before = await listening();
    for (let i = 0; i < 20; i++) await openChangeFeed(database).close();
    // More than the pool has: what was left behind would be missing here.
    await Promise.all(Array.from({ length: 30 }, () => database.query('SELECT pg_sleep(0.01)')));
    expect(await listening()).toBe(before);
  });
});
