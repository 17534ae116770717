import { notedName } from '@mint-lamp/core/document/naming/note-name';
import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import type { Untold } from '../database/mention-store.ts';
import { mentionLetter } from './texts.ts';

/** When whoever is named in a note is told, s. */
export interface Telling {
  /** So long after it was written: until then it can be taken back, or put otherwise. */
  readonly after: number;
  /** From one letter about a project to the next one to the same person; what comes meanwhile goes together. */
  readonly pause: number;
}

const USUAL: Telling = { after: 20, pause: 5 * 60 };
/** How often it is looked whether somebody is to be told. */
const LOOK_MS = 10_000;

/** Tells by letter who is named in notes, while they may see them and are still named there. */
export const tellMentioned = fp(async (app: FastifyInstance, { telling = USUAL }: { telling?: Telling }) => {
  const { mentions, door, projects, letters, peopleOptions } = app;

  const letterFor = async ({ project, person, namings }: Untold) => {
    const found = (await door.toProject(person.id, project)) && (await projects.find(project));
    if (!found) return { letter: null, told: [] };
    const { document } = found;
    const said = namings.flatMap(({ note: id, said: saidId, from }) => {
      const note = document.notes.find((one) => one.id === id);
      const one = note && [note, ...note.answers].find((said) => said.id === saidId);
      if (!note || !one?.mentions?.includes(person.id)) return [];
      const on = notedName(document, note.on) ?? 'something that was removed';
      return [{ id: saidId, note: id, on, from, text: one.text }];
    });
    const { publicAddress: server } = peopleOptions;
    const words = { to: person.email, name: person.name, server, said };
    return {
      letter: said.length ? mentionLetter({ ...words, project: { id: project, name: document.name } }) : null,
      told: said.map(({ id }) => id),
    };
  };

  let under: Promise<void> | null = null;
  let closed = false;
  const tellAll = async () => {
    try {
      let told = false;
      while (!closed && (await mentions.tellNext(telling.after, telling.pause, letterFor))) told = true;
      if (told) letters.look();
    } catch (error) {
      app.log.warn({ failure: error instanceof Error ? error.message : String(error) }, 'nobody was told');
    } finally {
      under = null;
    }
  };
  const look = () => {
    under ??= tellAll();
  };
  const timer = setInterval(look, Math.min(LOOK_MS, Math.max(telling.after * 1000, 250)));
  timer.unref();
  app.addHook('onClose', async () => {
    closed = true;
    clearInterval(timer);
    await under;
  });
});
