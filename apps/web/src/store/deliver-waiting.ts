import { ServerError } from '../fetching/ask.ts';
import { loadProject, sendCommands } from '../fetching/document-requests.ts';
import { forgetUnsent, readUnsent, waitingProjects } from '../storing/unsent.ts';
import { firstPart } from './parts.ts';
import { tellDropped, tellSetAside } from './telling.ts';

/**
 * Sends what closed tabs have left behind, for the projects among `existing`; a project's own page does so too
 * when it is opened, and the server takes each command once. Resolves to whether something was sent. What the
 * server cannot take as it is stays for the project's page, which can say more about it; a server that is away
 * is an error.
 */
export async function deliverWaiting(existing: readonly string[]): Promise<boolean> {
  let sent = false;
  for (const { projectId: id } of waitingProjects()) {
    if (!existing.includes(id)) continue;
    try {
      const { revision } = await loadProject(id);
      const { commands: waiting, setAside } = await readUnsent(id);
      tellSetAside(setAside);
      for (let left = waiting; left.length; ) {
        const part = firstPart(left);
        const { outcomes } = await sendCommands(id, revision, part);
        left = left.slice(part.length);
        for (const outcome of outcomes) {
          forgetUnsent(id, outcome.id);
          if (outcome.status === 'refused') tellDropped(outcome.reason);
        }
        sent = true;
      }
    } catch (error) {
      if (!(error instanceof ServerError) || error.away) throw error;
    }
  }
  return sent;
}
