import { formatDistanceToNow } from 'date-fns';
import { useState } from 'react';
import { letGoOfUnsent, type WaitingForProject, waitingProjects } from '../storing/unsent.ts';
import { Button } from '../ui/button.tsx';

const sentence = ({ edits, latest }: WaitingForProject) => {
  const when = Number.isFinite(latest) ? `, made ${formatDistanceToNow(latest, { addSuffix: true })},` : '';
  return edits === 1
    ? `1 edit${when} is kept in this browser for a project that is no longer on the server.`
    : `${edits} edits${when} are kept in this browser for a project that is no longer on the server.`;
};

/** Unsent edits of projects that are gone, which nothing can send any more, and the way to let them go. */
export function LeftBehind({ isGone }: { isGone: (projectId: string) => boolean }) {
  const [, setLetGo] = useState(0);
  const waiting = waitingProjects().filter(({ projectId }) => isGone(projectId));
  if (!waiting.length) return null;
  return (
    <ul aria-label="Edits of removed projects" className="my-4 flex flex-col gap-2">
      {waiting.map((one) => (
        <li
          key={one.projectId}
          className="flex items-center gap-3 rounded-md border border-hair bg-raised px-3 py-2 text-left"
        >
          <span className="flex-1">{sentence(one)}</span>
          <Button
            onClick={() => {
              letGoOfUnsent(one.projectId);
              setLetGo((count) => count + 1);
            }}
          >
            Discard
          </Button>
        </li>
      ))}
    </ul>
  );
}
