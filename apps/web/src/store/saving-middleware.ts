import type { Middleware } from '@reduxjs/toolkit';
import { closed, opened } from './project-slice.ts';
import { SavingSession, type SavingStore } from './saving-session.ts';

/**
 * Keeps the open project and the server in step: from when one is opened that can be changed, until it is closed or
 * another one is opened.
 */
export const savingMiddleware: Middleware = (store) => {
  let session: SavingSession | null = null;
  const end = () => {
    session?.end();
    session = null;
  };
  return (next) => (action) => {
    const result = next(action);
    if (closed.match(action)) end();
    else if (opened.match(action)) {
      const { id, readOnly } = action.payload;
      if (session?.projectId !== id || readOnly) end();
      // Opened again, as after its document was fetched anew, it goes on.
      if (!session && !readOnly) {
        session = new SavingSession(store as SavingStore, id);
        session.begin();
      }
    }
    session?.look();
    return result;
  };
};
