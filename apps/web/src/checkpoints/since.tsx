import { differingParts } from '@mint-lamp/core/edits/compare/differing-parts';
import type { HistoryEntry } from '@mint-lamp/core/wire/people';
import { useEffect, useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { historyAddress, STATIONS } from '../addresses.ts';
import { ChangedRoles } from '../comparing/changed-roles.tsx';
import { ChangedThings } from '../comparing/changed-things.tsx';
import { RestoreBar } from '../comparing/restore-bar.tsx';
import { useRestoring } from '../comparing/use-restoring.ts';
import { reasonOf } from '../fetching/api.ts';
import { useStateAtRevisionQuery } from '../fetching/checkpoints-api.ts';
import { useHistoryInfiniteQuery } from '../fetching/project-people-api.ts';
import { useNames } from '../fetching/use-names.ts';
import { useJob } from '../jobs/use-job.ts';
import { PersonMark } from '../people/presence/person-mark.tsx';
import { personOfPage } from '../person/person.ts';
import { selectSettledDocument, useProjectId, useRegions } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { EmptyState, Failure } from '../ui/notice.tsx';
import { PageHeader } from '../ui/page-header.tsx';
import { stationOfKind } from './station-of-kind.ts';
import { StepList } from './step-list.tsx';

/** Pages of steps that are read at most; who was away longer finds the rest among every step. */
const MOST_PAGES = 10;

/** The steps after a revision, the newest first, as far as they are read, and whether there are more. */
function useStepsSince(id: string, since: number) {
  const { data, error, isFetching, hasNextPage, fetchNextPage, refetch } = useHistoryInfiniteQuery(id, {
    refetchOnMountOrArgChange: true,
  });
  const pages = data?.pages.length ?? 0;
  const oldest = data?.pages.at(-1)?.before ?? null;
  const goesOn = hasNextPage && !error && oldest !== null && oldest > since + 1 && pages < MOST_PAGES;
  useEffect(() => {
    if (goesOn && !isFetching) void fetchNextPage();
  }, [goesOn, isFetching, fetchNextPage]);
  const steps = useMemo(
    () => data?.pages.flatMap(({ entries }) => entries.filter(({ revision }) => revision > since)) ?? null,
    [data, since],
  );
  return { steps, error, more: pages >= MOST_PAGES && goesOn, again: () => void refetch() };
}

/** What happened since a revision, by person and by station, and as before and after. */
export default function SincePage() {
  const id = useProjectId();
  const since = Number(useParams().revision);
  const { steps, error, more, again } = useStepsSince(id, since);
  const byPerson = useMemo(() => grouped(steps ?? [], ({ author }) => author ?? ''), [steps]);
  return (
    <div className="min-h-full pb-6">
      <PageHeader
        title="Since you were here"
        help="steps"
        lead={`What was done after revision ${since}, by whom, and what it came to.`}
      >
        <Link to={historyAddress(id)} className="underline underline-offset-2">
          Every step
        </Link>
      </PageHeader>
      {error && !steps && (
        <div className="px-5">
          <Failure fault={reasonOf(error)} onAgain={again} />
        </div>
      )}
      {steps?.length === 0 && <EmptyState title="Nothing has changed since">You’re up to date.</EmptyState>}
      <ul aria-label="Who did what" className="grid gap-x-8 gap-y-4 px-5 lg:grid-cols-2 narrow:grid-cols-1">
        {[...byPerson].map(([author, of]) => (
          <ByPerson key={author} author={author} steps={of} />
        ))}
      </ul>
      {more && <p className="px-5 pt-2 text-quiet">There is more than is shown here; see every step.</p>}
      {steps && steps.length > 0 && <BeforeAndAfter since={since} />}
    </div>
  );
}

function grouped(steps: readonly HistoryEntry[], keyOf: (step: HistoryEntry) => string) {
  const groups = new Map<string, HistoryEntry[]>();
  for (const step of steps) groups.set(keyOf(step), [...(groups.get(keyOf(step)) ?? []), step]);
  return groups;
}

const stationName = (kind: string) =>
  STATIONS.find(({ id }) => id === stationOfKind(kind))?.name ?? 'Elsewhere';

/** What somebody did, station by station; each step in words on request. */
function ByPerson({ author, steps }: { author: string; steps: readonly HistoryEntry[] }) {
  const names = useNames(useProjectId());
  const isMine = author === personOfPage();
  const name = isMine ? 'You' : (names(author || null) ?? 'Somebody');
  const byStation = [...grouped(steps, ({ kind }) => stationName(kind))];
  return (
    <li className="min-w-0 border-t border-hair pt-2">
      <h2 className="flex items-center gap-2 font-semibold">
        <PersonMark person={author} name={names(author || null) ?? '?'} lit={false} />
        {name}, {steps.length === 1 ? '1 step' : `${steps.length} steps`}
      </h2>
      {byStation.map(([station, of]) => (
        <details key={station} open={byStation.length === 1 && of.length < 6}>
          <summary className="min-h-7 cursor-pointer py-0.5">
            {station}: {of.length === 1 ? '1 step' : `${of.length} steps`}
          </summary>
          <StepList steps={of} dated className="pb-1 pl-5" />
        </details>
      ))}
    </li>
  );
}

/** The project as it was then and as it is, role by role; what is not wanted is put back from there. */
function BeforeAndAfter({ since }: { since: number }) {
  const project = useProjectId();
  const present = useAppSelector(selectSettledDocument);
  const {
    currentData: then,
    error,
    refetch,
  } = useStateAtRevisionQuery({ project, revision: since }, { refetchOnMountOrArgChange: false });
  const regions = useRegions();
  const input = useMemo(
    () => (then ? { before: then, after: present, regions } : null),
    [then, present, regions],
  );
  const { result, fault, again } = useJob('compare', input);
  const restoring = useRestoring(then ?? null, 'as you left it');
  const parts = useMemo(() => (result ? differingParts(result) : []), [result]);
  const problem = error && !then ? reasonOf(error) : fault;
  if (problem)
    return (
      <div className="px-5 pt-4">
        <Failure
          fault={problem}
          onAgain={() => {
            if (error) void refetch();
            again();
          }}
        />
      </div>
    );
  if (!result || !then) return <p className="px-5 pt-4 text-quiet">Comparing …</p>;
  return (
    <section aria-label="Before and after" className="flex flex-col gap-3 px-5 pt-5">
      <h2 className="font-title text-lg font-semibold">Before and after</h2>
      {!parts.length && !result.roles.length ? (
        <p className="text-quiet">It was all undone since: nothing differs.</p>
      ) : (
        <>
          <RestoreBar
            name="as you left it"
            afterName="now"
            then={then}
            now={present}
            parts={parts}
            restoring={restoring}
            passing={result.passing}
          />
          <ChangedThings differences={result} restoring={restoring} />
          <ChangedRoles differences={result} restoring={restoring} />
        </>
      )}
    </section>
  );
}
