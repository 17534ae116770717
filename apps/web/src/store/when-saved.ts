import type { AppStore } from './store.ts';

const LONGEST_MS = 5000;

/**
 * The revision of the log that has everything that is in a project, as soon as the server has it. Rejects with a sentence
 * when that takes long, as it does while the server is away, and when the project is left before.
 */
export function whenSaved(store: AppStore, projectId: string): Promise<number> {
  return new Promise((resolve, reject) => {
    let leave = () => {};
    const look = () => {
      const { project } = store.getState();
      if (project?.id !== projectId) {
        leave();
        reject(new Error('The project was left before the server had its latest edits.'));
      } else if (!project.unsent.length) {
        leave();
        resolve(project.revision);
      }
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
