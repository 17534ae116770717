import type { ReactNode } from 'react';

/** A calm panel for what is missing: says what goes here and offers the next step. */
export function EmptyState({ title, children }: { title: string; children: ReactNode }) {
  return (
    <div className="m-auto max-w-md py-12 text-center">
      <h2 className="mb-1 font-title text-lg font-semibold">{title}</h2>
      <div className="text-quiet">{children}</div>
    </div>
  );
}
