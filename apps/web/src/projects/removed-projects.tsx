import { REMOVED_FOR_DAYS } from '@mint-lamp/core/wire/projects';
import { addDays, formatDistanceToNowStrict } from 'date-fns';
import { toast } from 'sonner';
import { reasonOf } from '../fetching/api.ts';
import {
  useBringBackMutation,
  useLetGoForGoodMutation,
  useRemovedProjectsQuery,
} from '../fetching/projects-api.ts';
import { Button } from '../ui/button.tsx';
import { Confirm } from '../ui/confirm.tsx';

/** What was removed, and the way back; nothing is shown while there is none. */
export function RemovedProjects() {
  // The page of projects says already when the server is away.
  const { data: removed = [] } = useRemovedProjectsQuery();
  const [bringBack] = useBringBackMutation();
  const [letGoForGood] = useLetGoForGoodMutation();
  const attempt = async (answer: PromiseLike<{ error?: unknown }>) => {
    const { error } = await answer;
    if (error) toast.error(reasonOf(error));
  };
  if (!removed.length) return null;
  return (
    <section aria-label="Removed projects" className="mt-8">
      <h2 className="font-title text-lg font-semibold">Removed</h2>
      <p className="mb-1 text-sm text-quiet">
        Kept for {REMOVED_FOR_DAYS} days with all their colours and history, then deleted.
      </p>
      <ul className="divide-y divide-hair border-y border-hair">
        {removed.map(({ id, name, removedAt, own }) => (
          <li key={id} className="flex items-center gap-3 py-1.5 pl-2">
            <span className="min-w-0 flex-1 truncate">
              {name}{' '}
              <span className="text-sm text-quiet">
                goes{' '}
                {formatDistanceToNowStrict(addDays(new Date(removedAt), REMOVED_FOR_DAYS), {
                  addSuffix: true,
                  unit: 'day',
                  roundingMethod: 'ceil',
                })}
              </span>
            </span>
            <Button onClick={() => attempt(bringBack(id))} aria-label={`Restore ${name}`}>
              Restore
            </Button>
            {own && (
              <Confirm
                label="Delete for good"
                trigger={
                  <Button look="danger" aria-label={`Delete ${name} for good`}>
                    Delete for good
                  </Button>
                }
                yes="Delete for good"
                no="Keep it"
                onYes={() => attempt(letGoForGood(id))}
              >
                Delete <b>{name}</b> with all its colours, pictures and history? This cannot be undone.
              </Confirm>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
