import type { HistoryEntry } from '@mint-lamp/core/wire/people';
import { format, isSameYear, isToday, isYesterday } from 'date-fns';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { checkpointsAddress } from '../addresses.ts';
import { reasonOf } from '../fetching/api.ts';
import { useHistoryInfiniteQuery } from '../fetching/project-people-api.ts';
import { useNames } from '../fetching/use-names.ts';
import { useProjectId } from '../store/selectors.ts';
import { Button } from '../ui/button.tsx';
import { Choice } from '../ui/choice.tsx';
import { EmptyState, Failure } from '../ui/notice.tsx';
import { PageHeader } from '../ui/page-header.tsx';
import { StepList } from './step-list.tsx';

/** What somebody did on a day, the newest first. */
interface Sitting {
  readonly key: string;
  readonly day: Date;
  readonly author: string | null;
  readonly entries: HistoryEntry[];
}

/** Edits in a row by the same person on the same day are one sitting. */
function sittingsOf(entries: readonly HistoryEntry[]): Sitting[] {
  const sittings: Sitting[] = [];
  for (const entry of entries) {
    const day = new Date(entry.at);
    const key = `${format(day, 'yyyy-MM-dd')} ${entry.author}`;
    const last = sittings.at(-1);
    if (last?.key.startsWith(`${key} `)) last.entries.push(entry);
    else sittings.push({ key: `${key} ${entry.revision}`, day, author: entry.author, entries: [entry] });
  }
  return sittings;
}

function dayInWords(day: Date): string {
  if (isToday(day)) return 'Today';
  if (isYesterday(day)) return 'Yesterday';
  return format(day, isSameYear(day, new Date()) ? 'EEEE, d MMMM' : 'd MMMM yyyy');
}

const EVERYBODY = '';

/** Every step of the project, by person and day, whoever made it; the sitting's own can be gone back to from the top bar. */
export default function HistoryPage() {
  const id = useProjectId();
  const names = useNames(id);
  const { data, error, isFetching, hasNextPage, fetchNextPage, refetch } = useHistoryInfiniteQuery(id, {
    refetchOnMountOrArgChange: true,
  });
  const entries = useMemo(() => data?.pages.flatMap((page) => page.entries) ?? [], [data]);
  const [whose, setWhose] = useState(EVERYBODY);
  const authors = [...new Set(entries.map(({ author }) => author))].filter((one) => one !== null);
  const shown = whose === EVERYBODY ? entries : entries.filter(({ author }) => author === whose);
  return (
    <div className="flex min-h-full flex-col">
      <PageHeader
        title="Every step"
        help="steps"
        lead="What was done in this project, by whom and when, the newest first."
      >
        {authors.length > 1 && (
          <Choice
            label="Whose"
            hideLabel
            value={whose}
            options={[
              { value: EVERYBODY, label: 'Everybody’s' },
              ...authors.map((value) => ({ value, label: names(value) ?? 'Somebody' })),
            ]}
            onChange={setWhose}
            className="w-44"
          />
        )}
        <Link to={checkpointsAddress(id)} className="underline underline-offset-2">
          Checkpoints
        </Link>
      </PageHeader>
      {error && (
        <div className="px-5">
          <Failure fault={reasonOf(error)} onAgain={() => void refetch()} />
        </div>
      )}
      {data && !entries.length && (
        <EmptyState title="Nothing done yet">Every edit by anybody is listed here from now on.</EmptyState>
      )}
      <ol aria-label="Steps by day" className="max-w-3xl px-5 pb-6">
        {sittingsOf(shown).map(({ key, day, author, entries: of }) => (
          <li
            key={key}
            className="grid grid-cols-[150px_1fr] narrow:grid-cols-1 gap-x-4 border-t border-hair py-3"
          >
            <div>
              <h2 className="font-semibold">{dayInWords(day)}</h2>
              <p className="text-sm text-quiet">
                {names(author) ?? 'On this computer'}, {of.length === 1 ? '1 step' : `${of.length} steps`}
              </p>
            </div>
            <StepList steps={of} />
          </li>
        ))}
      </ol>
      {hasNextPage && (
        <div className="px-5 pb-8">
          <Button disabled={isFetching} onClick={() => void fetchNextPage()}>
            {isFetching ? 'Fetching …' : 'Earlier steps'}
          </Button>
        </div>
      )}
    </div>
  );
}
