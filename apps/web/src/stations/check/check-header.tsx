import type { ReactNode } from 'react';
import { addressOf, CHECK_VIEWS, type CheckViewId } from '../../addresses.ts';
import { useProjectId } from '../../store/selectors.ts';
import { PageHeader } from '../../ui/page-header.tsx';
import { ViewTabs } from '../../ui/view-tabs.tsx';

const BOARD = { id: 'board', name: 'Pairs', help: 'pair' } as const;
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
      <ViewTabs
        label="Views of Check"
        current={view}
        views={VIEWS.map((one) => ({
          id: one.id,
          name: one.name,
          help: one.help,
          to: one === BOARD ? addressOf(id, 'check') : addressOf(id, 'check', one.id),
        }))}
        className="mb-2"
      />
    </>
  );
}
