import { useEffect, useState } from 'react';
import {
  letGoOfSetAside,
  listSetAside,
  type SetAsideEdit,
  tryAgain,
  watchSetAside,
} from '../storing/set-aside.ts';
import { Button } from '../ui/button.tsx';
import { CopyButton } from '../ui/copy-button.tsx';

interface SetAsideProps {
  /** The name of a project, as far as it is known. */
  nameOf: (projectId: string) => string | null;
  /** Called when something was put back among what is to be sent. */
  onAgain?: () => void;
  /** Of one project only. */
  projectId?: string;
}

/** Edits that could not be read or sent, each with what can be done about it; nothing is shown while there is none. */
export function SetAside({ nameOf, onAgain, projectId }: SetAsideProps) {
  const [edits, setEdits] = useState<readonly SetAsideEdit[]>([]);
  useEffect(() => {
    let left = false;
    const load = () =>
      void listSetAside().then((found) => {
        if (!left) setEdits(found.filter((one) => !projectId || one.projectId === projectId));
      });
    load();
    const unwatch = watchSetAside(load);
    return () => {
      left = true;
      unwatch();
    };
  }, [projectId]);
  if (!edits.length) return null;
  return (
    <section aria-label="Edits that could not be sent" className="my-4">
      <p className="mb-1 text-sm text-quiet">
        {edits.length === 1 ? 'An edit that was' : `${edits.length} edits that were`} kept in this browser
        could not be read or sent, and {edits.length === 1 ? 'was' : 'were'} set aside:
      </p>
      <ul className="divide-y divide-hair border-y border-hair">
        {edits.map((edit) => (
          <li key={edit.key} className="flex items-center gap-2 py-1">
            <span className="min-w-0 flex-1 truncate" title={edit.text.slice(0, 2000)}>
              {edit.name}
              {!projectId && (
                <span className="text-sm text-quiet">
                  {' '}
                  in {nameOf(edit.projectId) ?? 'a project that is gone'}
                </span>
              )}
            </span>
            <Button
              small
              onClick={() => {
                tryAgain(edit);
                onAgain?.();
              }}
            >
              Try again
            </Button>
            <CopyButton text={edit.text} label={`Copy the edit ${edit.name}`}>
              Copy
            </CopyButton>
            <Button small look="danger" onClick={() => letGoOfSetAside(edit)}>
              Discard
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
