import clsx from 'clsx';
import { Check, CloudOff, Eye, LoaderCircle, RefreshCw, TriangleAlert } from 'lucide-react';
import { useSyncExternalStore } from 'react';
import { Link } from 'react-router';
import type { ProjectState } from '../store/project-slice.ts';
import { isOver } from '../store/saving-state.ts';
import { selectProject } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { countSetAside, watchSetAside } from '../storing/set-aside.ts';
import { keptByPageAlone } from '../storing/unsent.ts';
import { Button } from '../ui/button.tsx';
import { Hint } from '../ui/hint.tsx';
import { part } from '../ui/part.tsx';
import { Popover } from '../ui/popover.tsx';

const SetAside = part(async () => ({ default: (await import('../projects/set-aside.tsx')).SetAside }));

type Shown = readonly [icon: typeof Check, text: string, hint: string];

/** Every state in a word or two, and in a sentence. */
function shownOf(
  { saving, readOnly }: Pick<ProjectState, 'saving' | 'readOnly'>,
  waiting: number,
  unkept: number,
): Shown {
  const edits = waiting === 1 ? '1 edit' : `${waiting} edits`;
  if (unkept && saving !== 'idle')
    return [
      TriangleAlert,
      unkept === 1 ? '1 edit not kept' : `${unkept} edits not kept`,
      'This browser’s storage is full or blocked, so these edits exist only on this page. Keep it open until it says "Saved"; they are sent as soon as the server is back.',
    ];
  switch (saving) {
    case 'idle':
      return [Check, 'Saved', 'Everything has reached the server.'];
    case 'waiting':
    case 'sending':
    case 'refused':
      return [LoaderCircle, 'Saving', `${edits} on the way to the server.`];
    case 'away':
      return [
        CloudOff,
        waiting ? `${edits} kept here` : 'Server away',
        'The server or its database isn’t answering, or its disk is full. Keep working: your edits are stored in this browser and sent when it’s back, even if you close the tab.',
      ];
    case 'outdated':
      return [
        RefreshCw,
        waiting ? `${edits} kept here` : 'Update ready',
        'Mint Lamp has been updated. Reload this page; your edits are stored in this browser and will be sent.',
      ];
    case 'gone':
      return [
        CloudOff,
        waiting ? `Removed, ${edits} kept here` : 'Removed',
        'This project was removed. You can restore it for 30 days from the list of projects, where unsent edits can be discarded too.',
      ];
    case 'read-only':
      return [Eye, 'View only', readOnly ?? ''];
  }
}

/** Whether everything has reached the server, in words. */
export function SaveStateText() {
  // Each for itself: the project is another with every move of what is dragged.
  const saving = useAppSelector((state) => selectProject(state).saving);
  const readOnly = useAppSelector((state) => selectProject(state).readOnly);
  const waiting = useAppSelector((state) => selectProject(state).unsent.length);
  const unkept = useAppSelector((state) => keptByPageAlone(selectProject(state).id));
  const [Icon, text, hint] = shownOf({ saving, readOnly }, waiting, unkept);
  const calm = saving !== 'away' && !isOver(saving);
  const says = (
    <>
      <Icon aria-hidden className="size-3.5" />
      {text}
    </>
  );
  const state = (
    <span
      data-help="saved"
      role="status"
      data-saving={saving}
      className={clsx(
        'mr-1 inline-flex items-center gap-1 text-sm',
        unkept && !calm ? 'text-fail' : calm ? 'text-quiet' : 'text-look',
      )}
    >
      {calm ? (
        says
      ) : (
        // What is no everyday matter is told by a press too, with the way on.
        <Popover
          label="What this means"
          align="end"
          trigger={
            <button
              type="button"
              className="inline-flex min-h-[24px] items-center gap-1 rounded-md px-1 underline underline-offset-2 hover:bg-pressed"
            >
              {says}
            </button>
          }
        >
          <div className="w-80">
            <p>{hint}</p>
            {isOver(saving) && (
              <p className="mt-2">
                <Link to="/" className="underline underline-offset-2">
                  All projects
                </Link>
              </p>
            )}
          </div>
        </Popover>
      )}
      {saving === 'outdated' && (
        <Button small look="primary" onClick={() => location.reload()}>
          Reload
        </Button>
      )}
    </span>
  );
  return calm ? <Hint text={hint}>{state}</Hint> : state;
}

/** How many edits were set aside, and what can be done about each; nothing while there is none. */
export function SetAsideEdits() {
  const id = useAppSelector((state) => selectProject(state).id);
  const count = useSyncExternalStore(watchSetAside, () => countSetAside(id));
  if (!count) return null;
  return (
    <Popover
      label="Edits that could not be sent"
      align="end"
      trigger={
        <Button small look="quiet" className="text-look">
          {count} set aside
        </Button>
      }
    >
      <div className="w-96">
        <SetAside projectId={id} nameOf={() => null} />
      </div>
    </Popover>
  );
}
