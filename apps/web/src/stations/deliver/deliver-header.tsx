import clsx from 'clsx';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { useProjectId } from '../../store/selectors.ts';
import { PageHeader } from '../../ui/page-header.tsx';
import { HAND_OVERS, READ_BACK, SHARES, VALUES } from './forms.ts';

const VIEWS = [
  { id: 'files', name: 'Files' },
  { id: VALUES, name: 'Values' },
  { id: SHARES, name: 'Shares' },
  { id: HAND_OVERS, name: 'Hand-overs' },
  { id: READ_BACK, name: 'Read back' },
] as const;

export type DeliverView = (typeof VIEWS)[number]['id'];

/** The head of the station, with the ways to hand over. */
export function DeliverHeader({
  view,
  lead,
  children,
}: {
  view: DeliverView;
  lead: string;
  children?: ReactNode;
}) {
  const id = useProjectId();
  return (
    <>
      <PageHeader title="Deliver" help="deliver" lead={lead}>
        {children}
      </PageHeader>
      <nav aria-label="Views of Deliver" className="flex gap-1 border-b border-hair px-5">
        {VIEWS.map((one) => (
          <Link
            key={one.id}
            to={one.id === 'files' ? addressOf(id, 'deliver') : addressOf(id, 'deliver', one.id)}
            aria-current={one.id === view ? 'page' : undefined}
            className={clsx(
              '-mb-px border-b-2 px-2 py-1',
              one.id === view ? 'border-main font-semibold' : 'border-transparent text-quiet hover:text-main',
            )}
          >
            {one.name}
          </Link>
        ))}
      </nav>
    </>
  );
}
