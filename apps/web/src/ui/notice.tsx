import type { ReactNode } from 'react';
import { Button } from './button.tsx';
import { Mark } from './mark.tsx';

/** A whole page that waits for something, or says what stands in the way. */
export function Waiting({ children }: { children: ReactNode }) {
  return (
    <main className="grid h-full place-content-center justify-items-center gap-3 text-center">
      <Mark className="size-12" />
      <div className="text-quiet">{children}</div>
    </main>
  );
}

/** A calm panel for what is missing: says what goes here and offers the next step. */
export function EmptyState({ title, children }: { title: string; children: ReactNode }) {
  return (
    <div className="mx-auto max-w-md py-16 text-center">
      <h2 className="mb-1 font-title text-lg font-semibold">{title}</h2>
      <div className="text-quiet">{children}</div>
    </div>
  );
}

/** Says that something could not be worked out, and why; it can be tried again. */
export function Failure({ fault, onAgain }: { fault: string; onAgain: () => void }) {
  return (
    <div role="alert" className="mb-2 flex items-center gap-3 text-fail">
      <p>{fault}</p>
      <Button small onClick={onAgain}>
        Try again
      </Button>
    </div>
  );
}
