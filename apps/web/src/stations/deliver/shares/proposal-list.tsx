import type { Proposal } from '@mint-lamp/core/wire/shares';
import clsx from 'clsx';
import { format } from 'date-fns';
import { Link } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { useProjectId } from '../../../store/selectors.ts';
import { SHARES } from '../forms.ts';

const STATES = { open: 'to be looked at', taken: 'taken', declined: 'declined' } as const;

/** What came back by shares, the newest first; nothing where nothing did. */
export function ProposalList({ proposals }: { proposals: readonly Proposal[] }) {
  const project = useProjectId();
  if (!proposals.length) return null;
  return (
    <section aria-label="What came back" className="px-5 pt-3 pb-2">
      <h2 className="font-title text-lg font-semibold">What came back</h2>
      <ul>
        {proposals.map(({ id, by, words, parts, at, share, state }) => (
          <li key={id} className="border-b border-hair">
            <Link
              to={addressOf(project, 'deliver', SHARES, id)}
              className="flex flex-wrap items-baseline gap-x-4 rounded-md py-2 hover:bg-pressed"
            >
              <span className={clsx('min-w-0 flex-1', state === 'open' && 'font-semibold')}>
                {by}: {words || 'no words'}
              </span>
              <span className="text-sm text-quiet">
                {parts.length === 1 ? '1 change' : `${parts.length} changes`} · by {share} ·{' '}
                {format(new Date(at), 'd MMM, HH:mm')} ·{' '}
                <span className={state === 'open' ? 'text-main' : ''}>{STATES[state]}</span>
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
