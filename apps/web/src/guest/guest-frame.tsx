import type { SharedView } from '@mint-lamp/core/wire/shares';
import clsx from 'clsx';
import { format } from 'date-fns';
import type { ReactNode } from 'react';

export interface GuestPart {
  readonly id: 'look' | 'try' | 'notes';
  readonly label: string;
}

interface GuestFrameProps {
  view: SharedView;
  /** What can be done here beside looking; where that is nothing, there is nothing to choose. */
  parts: readonly GuestPart[];
  part: GuestPart['id'];
  onPart: (part: GuestPart['id']) => void;
  /** What stands at the right of the name. */
  tools?: ReactNode;
  children: ReactNode;
}

/** The frame of a share: the name, and what can be done, at the thumb on a phone and at the top where there is room. */
export function GuestFrame({ view, parts, part, onPart, tools, children }: GuestFrameProps) {
  const when = view.live ? 'as they are now' : `as of ${format(new Date(view.at), 'd MMMM yyyy')}`;
  return (
    <div className="mx-auto min-h-full max-w-[1200px] px-4 pb-24 md:px-8 md:pb-12">
      <header className="flex flex-wrap items-end gap-x-6 gap-y-3 py-5 md:py-8">
        <div className="min-w-0 flex-1 basis-60">
          <h1 className="font-title text-2xl leading-tight font-semibold break-words">{view.name}</h1>
          <p className="text-base text-quiet">Colours, {when}</p>
        </div>
        {tools}
        {parts.length > 1 && (
          <nav
            aria-label="What you can do"
            className="fixed inset-x-0 bottom-0 z-20 flex border-t border-hair bg-raised pb-[env(safe-area-inset-bottom)] md:static md:rounded-md md:border md:border-control md:pb-0"
          >
            {parts.map(({ id, label }) => (
              <button
                key={id}
                type="button"
                aria-current={id === part ? 'page' : undefined}
                onClick={() => onPart(id)}
                className={clsx(
                  'h-14 flex-1 px-4 text-lg -outline-offset-2 md:h-9 md:text-base md:first:rounded-l-[5px] md:last:rounded-r-[5px]',
                  id === part ? 'bg-main text-inverse' : 'hover:bg-pressed',
                )}
              >
                {label}
              </button>
            ))}
          </nav>
        )}
      </header>
      <main>{children}</main>
    </div>
  );
}

/** A part of the page under a heading. */
export function GuestSection({
  title,
  says,
  children,
}: {
  title: string;
  says?: string;
  children: ReactNode;
}) {
  return (
    <section aria-label={title} className="mt-10 first:mt-0">
      <h2 className="font-title text-xl font-semibold">{title}</h2>
      {says && <p className="max-w-2xl text-base text-quiet">{says}</p>}
      <div className="mt-3">{children}</div>
    </section>
  );
}
