import { useEffect, useRef, useState } from 'react';
import { useStore } from 'react-redux';
import { Link } from 'react-router';
import { useHistoryInfiniteQuery } from '../../fetching/project-people-api.ts';
import { personOfPage } from '../../person/person.ts';
import { useProjectId } from '../../store/selectors.ts';
import type { AppStore } from '../../store/store.ts';
import { lastSeen, rememberSeen } from './last-here.ts';

/** Leads to what others did since one was last here, until one has looked; nothing where they did nothing. */
export function SinceYouWereHere() {
  const id = useProjectId();
  const store = useStore() as AppStore;
  const [since] = useState(() => lastSeen(id));
  const [looked, setLooked] = useState(false);
  const at = useRef(id);
  at.current = id;
  useEffect(() => {
    const seen = () => {
      const { project } = store.getState();
      if (project?.id === at.current) rememberSeen(project.id, project.revision);
    };
    // Whoever comes for the first time has seen all of it from then on.
    if (lastSeen(at.current) === null) seen();
    addEventListener('pagehide', seen);
    return () => {
      removeEventListener('pagehide', seen);
      seen();
    };
  }, [store]);
  const { data } = useHistoryInfiniteQuery(id, { refetchOnMountOrArgChange: true });
  const first = data?.pages[0];
  if (since === null || looked || !first) return null;
  const others = first.entries.filter(
    ({ revision, author }) => revision > since && author !== personOfPage(),
  );
  if (!others.length) return null;
  const isAll = first.before === null || first.before <= since + 1;
  return (
    <Link
      to={`/p/${id}/since/${since}`}
      onClick={() => setLooked(true)}
      className="max-w-56 shrink-0 truncate rounded-md px-2 py-1 text-sm underline underline-offset-2 hover:bg-pressed"
    >
      {isAll ? '' : 'over '}
      {others.length === 1 ? '1 step' : `${others.length} steps`} since you were here
    </Link>
  );
}
