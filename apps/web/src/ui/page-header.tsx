import type { ReactNode } from 'react';

/** A page's title line: what it is, in its own words, and its main action at the right. */
export function PageHeader({ title, lead, children }: { title: string; lead: string; children?: ReactNode }) {
  return (
    <header className="flex flex-wrap items-end gap-x-4 gap-y-2 px-5 pt-4 pb-3">
      <div className="min-w-0 flex-1">
        <h1 className="font-title text-xl leading-tight font-semibold">{title}</h1>
        <p className="text-quiet">{lead}</p>
      </div>
      {children}
    </header>
  );
}
