import clsx from 'clsx';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { addressOf, SOURCES, type SourceId } from '../../addresses.ts';
import { useProjectId } from '../../store/selectors.ts';
import { HelpMark } from '../../ui/help-mark.tsx';

interface GatherHeaderProps {
  source: SourceId;
  /** What this source is for, or what of it is open. */
  lead: ReactNode;
  children?: ReactNode;
}

/** The head of every source: which one it is, the way to the others, and its own actions. */
export function GatherHeader({ source, lead, children }: GatherHeaderProps) {
  const id = useProjectId();
  return (
    <header className="flex flex-wrap items-end gap-x-4 gap-y-2 px-5 pt-4 pb-3">
      <div className="min-w-0 flex-1 narrow:basis-full">
        <div className="flex flex-wrap items-baseline gap-x-4">
          <div className="flex items-center gap-1" data-help="gather">
            <h1 className="font-title text-xl leading-tight font-semibold">Gather</h1>
            <HelpMark of="gather" about="Gather" />
          </div>
          <nav aria-label="Gather from" className="flex flex-wrap items-baseline gap-1">
            <span className="text-quiet">from</span>
            {SOURCES.map(({ id: other, name }) => (
              <Link
                key={other}
                to={addressOf(id, 'gather', other)}
                aria-current={other === source ? 'page' : undefined}
                className={clsx(
                  'rounded-md px-2 py-0.5',
                  other === source ? 'bg-pressed font-semibold' : 'text-quiet hover:bg-pressed',
                )}
              >
                {name}
              </Link>
            ))}
          </nav>
        </div>
        <div className="text-quiet">{lead}</div>
      </div>
      {children}
    </header>
  );
}
