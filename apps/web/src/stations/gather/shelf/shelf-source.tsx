import clsx from 'clsx';
import { useState } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { addressOf } from '../../../addresses.ts';
import { useProjectId } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { part } from '../../../ui/part.tsx';
import { GatherHeader } from '../gather-header.tsx';
import { NamesSearch } from './names-search.tsx';
import { Sets } from './sets.tsx';

const PublishDialog = part(() => import('./publish-dialog.tsx'));

/** Ready-made sets and sets that people have published; or colours by their names. @public Found by its file. */
export default function ShelfSource({ view }: { view: string | null }) {
  const [publishing, setPublishing] = useState(false);
  const [published, setPublished] = useState(0);
  const id = useProjectId();
  const names = view === 'names';
  return (
    <div className="flex min-h-full flex-col">
      <GatherHeader
        source="shelf"
        lead={
          <nav aria-label="On the shelf" className="mt-1 flex gap-1">
            {[
              { to: addressOf(id, 'gather', 'shelf'), label: 'Sets', here: !names },
              { to: addressOf(id, 'gather', 'shelf', 'names'), label: 'Names of colours', here: names },
            ].map(({ to, label, here }) => (
              <Link
                key={label}
                to={to}
                aria-current={here ? 'page' : undefined}
                className={clsx('rounded-md px-2 py-0.5', here ? 'bg-pressed text-main' : 'hover:bg-pressed')}
              >
                {label}
              </Link>
            ))}
          </nav>
        }
      >
        <Button look="primary" onClick={() => setPublishing(true)}>
          Publish …
        </Button>
      </GatherHeader>
      {names ? <NamesSearch /> : <Sets key={published} />}
      {publishing && (
        <PublishDialog
          onClose={() => setPublishing(false)}
          onDone={({ name }) => {
            setPublishing(false);
            setPublished((n) => n + 1);
            toast(`${name} is on the shelf`);
          }}
        />
      )}
    </div>
  );
}
