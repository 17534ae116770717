import type { ReactNode } from 'react';
import { HelpMark } from './help-mark.tsx';

interface PageHeaderProps {
  title: string;
  lead: ReactNode;
  /** What of the list of help tells of it. */
  help?: string;
  children?: ReactNode;
}

/** A page's head: what it is with its main actions at the right, and below, across it, what it is for in its own words. */
export function PageHeader({ title, lead, help, children }: PageHeaderProps) {
  return (
    <header className="grid grid-cols-[auto_minmax(0,1fr)] gap-x-4 gap-y-0.5 px-5 pt-3 pb-3 narrow:grid-cols-1 narrow:gap-y-2">
      <div className="flex min-h-9 items-center gap-1 narrow:min-h-0" data-help={help}>
        <h1 className="font-title text-xl leading-tight font-semibold">{title}</h1>
        {help && <HelpMark of={help} about={title} />}
      </div>
      <div className="row-start-2 min-w-0 text-quiet narrow:row-auto col-span-full">{lead}</div>
      {children && (
        <div className="flex min-w-0 flex-wrap items-center justify-end gap-x-3 gap-y-2 narrow:justify-start">
          {children}
        </div>
      )}
    </header>
  );
}
