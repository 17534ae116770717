import clsx from 'clsx';
import { Check, CloudOff, Eye, LoaderCircle, RefreshCw } from 'lucide-react';
import type { SaveState } from '../store/project-slice.ts';
import { selectProject } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { Button } from '../ui/button.tsx';
import { Hint } from '../ui/hint.tsx';

type Shown = readonly [icon: typeof Check, text: string, hint: string];

/** Every state in a word or two, and in a sentence. */
function shownOf(saving: SaveState, waiting: number): Shown {
  const edits = waiting === 1 ? '1 edit' : `${waiting} edits`;
  switch (saving) {
    case 'saved':
      return [Check, 'Saved', 'Everything has reached the server.'];
    case 'saving':
      return [LoaderCircle, 'Saving', `${edits} on the way to the server.`];
    case 'away':
      return [
        CloudOff,
        waiting ? `${edits} kept here` : 'Server away',
        'The server or its database does not answer. Go on working: edits are kept in this browser and sent when it is back, also after closing the tab.',
      ];
    case 'outdated':
      return [
        RefreshCw,
        waiting ? `${edits} kept here` : 'Update ready',
        'Mint Lamp has been updated. Load this page anew: edits are kept in this browser and sent then.',
      ];
    case 'gone':
      return [
        CloudOff,
        waiting ? `Removed, ${edits} kept here` : 'Removed',
        'This project was removed from the server. Copy from it what you need; the page of all projects lets unsent edits go.',
      ];
  }
}

/** Whether everything has reached the server, in words. */
export function SaveStateText() {
  const saving = useAppSelector((state) => selectProject(state).saving);
  const waiting = useAppSelector((state) => selectProject(state).unsent.length);
  const readOnly = useAppSelector((state) => selectProject(state).readOnly);
  const [Icon, text, hint]: Shown = readOnly ? [Eye, 'Only to look at', readOnly] : shownOf(saving, waiting);
  const calm = saving === 'saved' || saving === 'saving';
  return (
    <Hint text={hint}>
      <span
        role="status"
        data-saving={readOnly ? 'read-only' : saving}
        className={clsx('mr-1 inline-flex items-center gap-1 text-sm', calm ? 'text-quiet' : 'text-look')}
      >
        <Icon aria-hidden className="size-3.5" />
        {text}
        {saving === 'outdated' && (
          <Button small look="primary" onClick={() => location.reload()}>
            Load anew
          </Button>
        )}
      </span>
    </Hint>
  );
}
