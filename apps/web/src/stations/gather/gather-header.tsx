import type { ReactNode } from 'react';
import { addressOf, SOURCES, type SourceId } from '../../addresses.ts';
import { useProjectId } from '../../store/selectors.ts';
import { PageHeader } from '../../ui/page-header.tsx';
import { ViewTabs } from '../../ui/view-tabs.tsx';

interface GatherHeaderProps {
  source: SourceId;
  /** What this source is for, or what of it is open. */
  lead: ReactNode;
  children?: ReactNode;
}

/** The head of every source: which one it is, the way to the others, and its own actions. */
export function GatherHeader({ source, lead, children }: GatherHeaderProps) {
  const project = useProjectId();
  return (
    <>
      <PageHeader title="Gather" help="gather" lead={lead}>
        {children}
      </PageHeader>
      <ViewTabs
        label="Gather from"
        current={source}
        views={SOURCES.map(({ id, name, help }) => ({
          id,
          name,
          help,
          to: addressOf(project, 'gather', id),
        }))}
        className="mb-3"
      />
    </>
  );
}
