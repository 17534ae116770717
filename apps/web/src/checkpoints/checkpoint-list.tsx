import { mayDo } from '@mint-lamp/core/wire/access';
import type { Checkpoint } from '@mint-lamp/core/wire/checkpoints';
import clsx from 'clsx';
import { format, formatDistanceToNow } from 'date-fns';
import { Trash2 } from 'lucide-react';
import { memo, useState } from 'react';
import { useNames } from '../fetching/use-names.ts';
import { selectProject, useProjectId } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { IconButton } from '../ui/icon-button.tsx';
import { TextField } from '../ui/text-field.tsx';

interface CheckpointListProps {
  checkpoints: readonly Checkpoint[];
  /** The one that is compared. */
  lit: string | null;
  onLit: (checkpoint: string) => void;
  onRename: (checkpoint: string, name: string) => Promise<string | null>;
  onRemove: (checkpoint: Checkpoint) => Promise<void>;
}

/** The named states, the newest first. A press compares one with now. */
export const CheckpointList = memo(function CheckpointList(props: CheckpointListProps) {
  const { checkpoints, lit, onLit, onRename, onRemove } = props;
  const names = useNames(useProjectId());
  const mayEdit = useAppSelector((state) => mayDo(selectProject(state).access, 'edit'));
  return (
    <ol aria-label="Checkpoints" className="border-r border-hair py-2">
      {checkpoints.map((one) => (
        <li key={one.id} className={clsx('flex items-start gap-1 px-2 py-1', one.id === lit && 'bg-pressed')}>
          <div className="min-w-0 flex-1">
            <Name name={one.name} onRename={(name) => onRename(one.id, name)} />
            <button
              type="button"
              aria-pressed={one.id === lit}
              aria-label={`Compare ${one.name} with now`}
              title={format(new Date(one.at), 'd MMMM yyyy, HH:mm')}
              onClick={() => onLit(one.id)}
              className="w-full rounded-md px-2 text-left text-sm text-quiet hover:text-main hover:underline"
            >
              {formatDistanceToNow(new Date(one.at), { addSuffix: true })}
              {names(one.author) && `, ${names(one.author)}`}
            </button>
          </div>
          {mayEdit && (
            <IconButton label={`Remove the checkpoint ${one.name}`} onClick={() => void onRemove(one)}>
              <Trash2 aria-hidden className="size-4 text-quiet" />
            </IconButton>
          )}
        </li>
      ))}
    </ol>
  );
});

/** Its name, written over in place; what the server refuses is told below it. */
function Name({ name, onRename }: { name: string; onRename: (name: string) => Promise<string | null> }) {
  const [fault, setFault] = useState<string | null>(null);
  return (
    <>
      <TextField
        label={`Name of the checkpoint ${name}`}
        hideLabel
        value={name}
        inputClassName="h-7! border-transparent! bg-transparent! px-2! font-semibold hover:border-control! focus:bg-raised!"
        onCommit={(text) => {
          if (!text) return 'A checkpoint needs a name';
          setFault(null);
          void onRename(text).then(setFault);
          return null;
        }}
      />
      {fault && (
        <p role="alert" className="px-2 text-sm text-fail">
          {fault}
        </p>
      )}
    </>
  );
}
