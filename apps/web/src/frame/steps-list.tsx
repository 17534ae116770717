import clsx from 'clsx';
import { Link } from 'react-router';
import { checkpointsAddress, historyAddress } from '../addresses.ts';
import { step } from '../store/editing.ts';
import type { HistoryStep } from '../store/project-slice.ts';
import { selectProject, useProjectId } from '../store/selectors.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { PopoverClose } from '../ui/popover.tsx';

/** The steps of this sitting, the latest at the top, those that were undone above it; any can be gone back to. */
export default function StepsList() {
  const dispatch = useAppDispatch();
  const undo = useAppSelector((state) => selectProject(state).undo);
  const redo = useAppSelector((state) => selectProject(state).redo);
  const go = (direction: 'undo' | 'redo', times: number) => {
    // One that takes others' work along is asked about first, and nothing below it is done meanwhile.
    for (let i = 0; i < times; i++) if (!dispatch(step(direction))) return;
  };
  if (!undo.length && !redo.length)
    return (
      <div className="w-72">
        <p className="text-quiet">No steps yet. What you do is listed here, so you can go back.</p>
        <ToCheckpoints />
      </div>
    );
  const latest = undo.length - 1;
  // The first that was undone is the last of its list, and the nearest to now.
  const rows = [
    ...redo.map((one, i) => ({
      key: `redo ${redo.length - i}`,
      one,
      look: 'undone' as const,
      onGo: () => go('redo', redo.length - i),
    })),
    ...undo
      .map((one, i) => ({
        key: `undo ${i}`,
        one,
        look: i === latest ? ('now' as const) : ('done' as const),
        onGo: () => go('undo', latest - i),
      }))
      .reverse(),
  ];
  return (
    <div className="w-72">
      <p className="mb-1 text-sm text-quiet">Go back to after a step:</p>
      <ol aria-label="Steps" className="max-h-96 overflow-auto">
        {rows.map(({ key, ...row }) => (
          <Step key={key} {...row} />
        ))}
        <li>
          <button
            type="button"
            aria-current={undo.length ? undefined : 'step'}
            onClick={() => go('undo', undo.length)}
            className={clsx(
              'block w-full rounded-md px-2 py-0.5 text-left hover:bg-pressed',
              !undo.length && 'font-semibold',
            )}
          >
            Before the first step
          </button>
        </li>
      </ol>
      <ToCheckpoints />
    </div>
  );
}

/** Steps end with the sitting; what is to stay gets a name. */
function ToCheckpoints() {
  const id = useProjectId();
  return (
    <p className="mt-2 border-t border-hair pt-2 text-sm">
      <PopoverClose asChild>
        <Link to={checkpointsAddress(id)} className="underline underline-offset-2">
          Checkpoints
        </Link>
      </PopoverClose>{' '}
      are saved states, to compare and go back to.{' '}
      <PopoverClose asChild>
        <Link to={historyAddress(id)} className="underline underline-offset-2">
          Every step
        </Link>
      </PopoverClose>{' '}
      of this project, by person and day.
    </p>
  );
}

interface StepProps {
  one: HistoryStep;
  look: 'undone' | 'now' | 'done';
  onGo: () => void;
}

const Step = ({ one, look, onGo }: StepProps) => (
  <li>
    <button
      type="button"
      aria-current={look === 'now' ? 'step' : undefined}
      onClick={onGo}
      className={clsx(
        'block w-full truncate rounded-md px-2 py-0.5 text-left hover:bg-pressed',
        look === 'undone' && 'text-quiet',
        look === 'now' && 'font-semibold',
      )}
    >
      {one.label.charAt(0).toUpperCase() + one.label.slice(1)}
      {look === 'undone' && ', undone'}
    </button>
  </li>
);
