import { Check, CloudOff, LoaderCircle, RefreshCw } from 'lucide-react';
import { selectProject } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { Button } from '../ui/button.tsx';
import { Hint } from '../ui/hint.tsx';

/** Whether everything has reached the server, in words. */
export function SaveStateText() {
  const saving = useAppSelector((state) => selectProject(state).saving);
  const waiting = useAppSelector((state) => selectProject(state).unsent.length);
  const edits = waiting === 1 ? '1 edit' : `${waiting} edits`;
  const [Icon, text, hint] = {
    saved: [Check, 'Saved', 'Everything has reached the server.'],
    saving: [LoaderCircle, 'Saving', `${edits} on the way to the server.`],
    away: [
      CloudOff,
      waiting ? `${edits} kept here` : 'Server away',
      'The server or its database does not answer. Go on working: edits are kept in this browser and sent when it is back, also after closing the tab.',
    ],
    outdated: [
      RefreshCw,
      waiting ? `${edits} kept here` : 'Update ready',
      'Mint Lamp has been updated. Load this page anew: edits are kept in this browser and sent then.',
    ],
    gone: [
      CloudOff,
      'Not on the server',
      'This project was removed from the server; edits stay in this browser.',
    ],
  }[saving] as [typeof Check, string, string];
  return (
    <Hint text={hint}>
      <span
        role="status"
        data-saving={saving}
        className={`mr-1 inline-flex items-center gap-1 text-sm ${saving === 'saved' || saving === 'saving' ? 'text-quiet' : 'text-look'}`}
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
