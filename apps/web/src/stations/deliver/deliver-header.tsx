import type { ReactNode } from 'react';
import { addressOf } from '../../addresses.ts';
import { useProjectId } from '../../store/selectors.ts';
import { PageHeader } from '../../ui/page-header.tsx';
import { ViewTabs } from '../../ui/view-tabs.tsx';
import { HAND_OVERS, READ_BACK, SHARES, VALUES } from './forms.ts';

const VIEWS = [
  { id: 'files', name: 'Files', help: 'files' },
  { id: VALUES, name: 'Values', help: 'values' },
  { id: SHARES, name: 'Shares', help: 'share' },
  { id: HAND_OVERS, name: 'Hand-overs', help: 'hand-over' },
  { id: READ_BACK, name: 'Read back', help: 'read-back' },
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
      <ViewTabs
        label="Views of Deliver"
        current={view}
        views={VIEWS.map((one) => ({
          ...one,
          to: one.id === 'files' ? addressOf(id, 'deliver') : addressOf(id, 'deliver', one.id),
        }))}
      />
    </>
  );
}
