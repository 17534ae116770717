import clsx from 'clsx';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { addressOf, CHECK_VIEWS, type CheckViewId } from '../../addresses.ts';
import { useProjectId } from '../../store/selectors.ts';
import { PageHeader } from '../../ui/page-header.tsx';

const BOARD = { id: 'board', name: 'Pairs' } as const;
const VIEWS = [BOARD, ...CHECK_VIEWS];

/** The head of the station, with the ways to look at what is checked. */
export function CheckHeader({
  view,
  lead,
  children,
}: {
  view: CheckViewId | 'board';
  lead: string;
  children?: ReactNode;
}) {
  const id = useProjectId();
  return (
    <>
      <PageHeader title="Check" help="check" lead={lead}>
        {children}
      </PageHeader>
      <nav aria-label="Views of Check" className="mb-2 flex gap-1 border-b border-hair px-5">
        {VIEWS.map((one) => (
          <Link
            key={one.id}
            to={one === BOARD ? addressOf(id, 'check') : addressOf(id, 'check', one.id)}
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
