import { ApiProvider } from '@reduxjs/toolkit/query/react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { api } from '../fetching/api.ts';
import { Mark } from '../ui/mark.tsx';
import { AccountMenu } from './account-menu.tsx';

/** A page of its own beside the projects: the way back at the left, who one is at the right. */
export function OwnPage({
  title,
  lead,
  children,
}: {
  title: ReactNode;
  lead: ReactNode;
  children: ReactNode;
}) {
  return (
    <ApiProvider api={api}>
      <main className="mx-auto min-h-full max-w-5xl px-6 py-8">
        <div className="mb-6 flex items-center justify-between">
          <Link to="/" className="flex items-center gap-2 rounded-md underline-offset-2 hover:underline">
            <Mark className="size-8" />
            All projects
          </Link>
          <AccountMenu />
        </div>
        <h1 className="font-title text-2xl leading-tight font-semibold">{title}</h1>
        <div className="text-quiet">{lead}</div>
        {children}
      </main>
    </ApiProvider>
  );
}

/** A part of such a page: what it is at the left, what can be done at the right. */
export function Section({ title, says, children }: { title: string; says?: ReactNode; children: ReactNode }) {
  return (
    <section
      aria-label={title}
      className="mt-8 grid gap-x-8 gap-y-2 border-t border-hair pt-4 md:grid-cols-[260px_1fr] narrow:grid-cols-1"
    >
      <div>
        <h2 className="font-title text-lg font-semibold">{title}</h2>
        {says && <div className="text-sm text-quiet">{says}</div>}
      </div>
      <div className="min-w-0">{children}</div>
    </section>
  );
}
