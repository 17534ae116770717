import { watch as watchFile } from 'node:fs';
import { basename, dirname } from 'node:path';
import { handOut, readWish } from './export.ts';
import { Fault } from './fault.ts';
import { apiOf, readSource, splitPlace } from './source.ts';

/** How often a server is asked, ms. */
const EVERY_MS = 1000;
/** What a program that writes a file is given to finish, ms. */
const RESTS_MS = 150;

/** `mint-lamp watch`: writes the form anew whenever the project has changed, until it is stopped. */
export async function run(args: readonly string[]): Promise<number> {
  const wish = readWish(args);
  const { at, checkpoint } = splitPlace(wish.place);
  if (checkpoint !== null) throw new Fault('A checkpoint never changes; watch the project itself.');
  let known: string | null = null;
  const look = async () => {
    try {
      const source = await readSource(wish.place);
      const state = source.revision === null ? JSON.stringify(source.document) : String(source.revision);
      if (state === known) return;
      known = state;
      await handOut(source, wish);
    } catch (error) {
      // It may come back: a file that is being written, a server that is started anew.
      if (!(error instanceof Fault)) throw error;
      console.error(error.message);
    }
  };
  if (apiOf(at)) {
    for (;;) {
      await look();
      await new Promise((resolve) => setTimeout(resolve, EVERY_MS));
    }
  }
  let timer: NodeJS.Timeout | undefined;
  // The folder: programs that save replace a file by another.
  watchFile(dirname(at), (_, name) => {
    if (name !== basename(at)) return;
    clearTimeout(timer);
    timer = setTimeout(() => void look(), RESTS_MS);
  });
  await look();
  return new Promise(() => {});
}
