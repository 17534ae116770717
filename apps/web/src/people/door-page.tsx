import type { ReactNode } from 'react';
import { Mark } from '../ui/mark.tsx';

const BANDS = [950, 900, 800, 700, 600, 500, 400, 300, 200, 100, 50] as const;

/** A page before one is in: a few words and a form, beside the lamp's own light, step by step. */
export function DoorPage({
  title,
  lead,
  children,
}: {
  title: string;
  lead?: ReactNode;
  children: ReactNode;
}) {
  return (
    <main className="grid min-h-full md:grid-cols-[minmax(360px,2fr)_3fr] narrow:grid-cols-1">
      <div className="flex flex-col justify-center px-6 py-10">
        <div className="mx-auto w-full max-w-sm">
          <div className="mb-8 flex items-center gap-2">
            <Mark className="size-9" />
            <span className="font-title text-xl font-semibold">Mint Lamp</span>
          </div>
          <h1 className="font-title text-2xl leading-tight font-semibold">{title}</h1>
          {lead && <div className="mt-1 text-quiet">{lead}</div>}
          <div className="mt-6">{children}</div>
        </div>
      </div>
      <div aria-hidden className="hidden grid-rows-11 md:grid">
        {BANDS.map((step) => (
          <span key={step} style={{ background: `var(--mint-${step})` }} />
        ))}
      </div>
    </main>
  );
}
