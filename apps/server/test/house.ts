import { randomUUID } from 'node:crypto';
import { PERSON_HEADER } from '@mint-lamp/core/wire/access';
import type { FastifyInstance, InjectOptions, LightMyRequestResponse } from 'fastify';
import type { DataSource } from 'typeorm';
import { hashOf, newToken } from '../src/access/token.ts';
import { type AppOptions, buildApp } from '../src/app.ts';
import { openDatabase } from '../src/database/data-source.ts';
import { hashPassphrase } from '../src/people/passphrase.ts';
import { shipReadyMade } from '../src/shelf/ship.ts';
import { FORM } from './form.ts';

/** Somebody with a browser: what they ask for goes with their cookie and says who they are. */
export interface Somebody {
  readonly id: string;
  readonly email: string;
  readonly name: string;
  /** As a browser has it; other tabs of it have it too. */
  readonly token: string;
  readonly headers: Readonly<Record<string, string>>;
  ask(method: InjectOptions['method'], url: string, payload?: object): Promise<LightMyRequestResponse>;
}

/** A server that asks who one is, on a database of its own. */
export interface House {
  readonly app: FastifyInstance;
  readonly database: DataSource;
  /** Another process on the same database. */
  another(options?: Partial<AppOptions>): Promise<FastifyInstance>;
  somebody(name: string, options?: { readonly administrator?: boolean }): Promise<Somebody>;
  /** The token in the newest letter to somebody. */
  tokenTo(email: string): Promise<string>;
  close(): Promise<void>;
}

export const PASSPHRASE = 'four gulls over Grey Holm';
export const COOKIE = '__Host-mint-lamp';
export const cookieOf = (token: string) => ({ cookie: `${COOKIE}=${token}` });

/** Hashed once: that is slow on purpose. */
let hash: Promise<string> | undefined;

export async function openHouse(url: string, options: Partial<AppOptions> = {}): Promise<House> {
  const name = `house_${randomUUID().replaceAll('-', '')}`;
  const plain = await openDatabase(url);
  await plain.query(`CREATE DATABASE ${name}`);
  await plain.destroy();
  const own = new URL(url);
  own.pathname = `/${name}`;
  const databases: DataSource[] = [];
  const apps: FastifyInstance[] = [];
  const open = async (more: Partial<AppOptions> = {}) => {
    const database = await openDatabase(own.href);
    databases.push(database);
    const app = await buildApp({
      database,
      people: {
        local: false,
        secret: 'a secret of thirty-two letters or more',
        publicAddress: 'https://lamp.skerry-line.example',
        sessions: { hours: 24, idleHours: 12 },
      },
      ...options,
      ...more,
    });
    apps.push(app);
    await app.ready();
    return { app, database };
  };
  const { app, database } = await open();
  await shipReadyMade(database);
  hash ??= hashPassphrase(PASSPHRASE);

  return {
    app,
    database,
    another: async (more) => (await open(more)).app,

    async somebody(person, { administrator = false } = {}) {
      const email = `${person}@skerry-line.example`.toLowerCase();
      const made = await database.transaction(async (manager) =>
        app.people.make(manager, { email, name: person, passphrase: await hash!, administrator }),
      );
      const id = made!;
      const token = newToken();
      await app.sessions.begin(id, hashOf(token), 'a browser of the tests');
      const headers = { ...FORM, ...cookieOf(token), [PERSON_HEADER]: id };
      return {
        id,
        email,
        name: person,
        token,
        headers,
        ask: (method, asked, payload) =>
          app.inject({ method: method!, url: asked, headers, ...(payload ? { payload } : {}) }),
      };
    },

    async tokenTo(email) {
      const letter = (await app.letters.store.list(200)).find(({ to }) => to === email);
      return /#([\w-]{43})/.exec(letter?.text ?? '')![1]!;
    },

    async close() {
      for (const one of apps) await one.close();
      for (const one of databases) await one.destroy();
      const last = await openDatabase(url);
      await last.query(`DROP DATABASE ${name} WITH (FORCE)`);
      await last.destroy();
    },
  };
}
