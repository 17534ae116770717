import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import type { DataSource } from 'typeorm';
import { type Letter, type LetterStore, letterStore } from '../database/people/letter-store.ts';
import { openPost } from './post.ts';

/** How letters go out: through a mail server, or nowhere but to a mailbox that is opened here. */
export type Mail =
  | { readonly way: 'smtp'; readonly url: string; readonly from: string }
  | { readonly way: 'mailbox' };

declare module 'fastify' {
  interface FastifyInstance {
    letters: Letters;
  }
}

interface Letters {
  /** Whether they can be opened here. */
  readonly here: boolean;
  send(letter: Letter): Promise<void>;
  /** Looks at once whether one is to go out. */
  look(): void;
  readonly store: LetterStore;
}

/** How often it is looked whether another process has left a letter, or one is to be tried again. */
const LOOK_MS = 15_000;
/** A letter that nobody could deliver, or has opened, for so many days is let go of; what it leads to is over by then. */
const KEPT_DAYS = 14;

/** Sends letters: they are written down first, so that none is lost with the process that wrote it. */
export const letters = fp(
  async (app: FastifyInstance, { database, mail }: { database: DataSource; mail: Mail }) => {
    const store = letterStore(database);
    const post = mail.way === 'smtp' ? openPost(mail) : null;
    let closed = false;
    let sending: Promise<void> | null = null;

    const sendAll = async (): Promise<void> => {
      try {
        for (;;) {
          if (closed || !post) return;
          if (!(await store.sendNext((letter) => post.send(letter)))) return;
        }
      } catch (error) {
        // Neither to whom nor what it says.
        app.log.warn({ failure: error instanceof Error ? error.message : String(error) }, 'a letter stays');
      } finally {
        sending = null;
      }
    };
    const look = () => {
      sending ??= sendAll();
    };

    app.decorate('letters', {
      here: mail.way === 'mailbox',
      store,
      async send(letter) {
        await store.write(letter);
        look();
      },
      look,
    });
    const timer = setInterval(look, LOOK_MS);
    const daily = setInterval(
      () => store.forgetOld(KEPT_DAYS).catch((error: unknown) => app.log.warn(error)),
      24 * 60 * 60 * 1000,
    );
    for (const one of [timer, daily]) one.unref();
    if (post) look();
    app.addHook('onClose', async () => {
      closed = true;
      clearInterval(timer);
      clearInterval(daily);
      await sending;
      post?.close();
    });
  },
);
