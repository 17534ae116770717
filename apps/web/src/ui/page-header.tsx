import type { ReactNode } from 'react';
import { HelpMark } from './help-mark.tsx';

interface PageHeaderProps {
  title: string;
  lead: ReactNode;
  /** What of the list of help tells of it. */
  help?: string;
  children?: ReactNode;
}

/** A page's title line: what it is, in its own words, and its main action at the right. */
export function PageHeader({ title, lead, help, children }: PageHeaderProps) {
  return (
    <header className="flex flex-wrap items-end gap-x-4 gap-y-2 px-5 pt-4 pb-3">
      <div className="min-w-0 flex-1 narrow:basis-full">
        <div className="flex items-center gap-1" data-help={help}>
          <h1 className="font-title text-xl leading-tight font-semibold">{title}</h1>
          {help && <HelpMark of={help} about={title} />}
        </div>
        <div className="text-quiet">{lead}</div>
      </div>
      {children}
    </header>
  );
}
