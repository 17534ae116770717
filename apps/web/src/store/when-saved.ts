import { selectProject } from './selectors.ts';
import type { AppStore } from './store.ts';

const LONGEST_MS = 5000;

/**
 * The revision of the log that has everything that is here, as soon as the server has it. Rejects with a sentence when
 * that takes long, as it does while the server is away.
 */
export function whenSaved(store: AppStore): Promise<number> {
  return new Promise((resolve, reject) => {
    let leave = () => {};
    const look = () => {
      const { unsent, revision } = selectProject(store.getState());
      if (unsent.length) return;
      leave();
      resolve(revision);
    };
    const timer = setTimeout(() => {
      leave();
      reject(
        new Error('The server does not have your latest edits yet; try again when "Saved" is shown above.'),
      );
    }, LONGEST_MS);
    const stop = store.subscribe(look);
    leave = () => {
      clearTimeout(timer);
      stop();
    };
    look();
  });
}
