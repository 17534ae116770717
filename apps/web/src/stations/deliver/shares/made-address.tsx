import type { MadeShare } from '@mint-lamp/core/wire/shares';
import { useEffect, useRef } from 'react';
import { useLibraryQuery } from '../../../fetching/library-api.ts';
import { Button } from '../../../ui/button.tsx';
import { CopyButton } from '../../../ui/copy-button.tsx';

/** The address of a share that was just made: the one time that it can be seen. */
export function MadeAddress({ made: { share, token }, onDone }: { made: MadeShare; onDone: () => void }) {
  const box = useRef<HTMLElement>(null);
  useEffect(() => box.current?.focus(), []);
  const isSheet = share.subject.kind === 'css';
  return (
    <section
      ref={box}
      tabIndex={-1}
      aria-label={`The address of ${share.name}`}
      className="mx-5 mt-3 rounded-md border border-main bg-raised p-3"
    >
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="font-title text-lg font-semibold">The address of {share.name}</h2>
        <p className="text-quiet">Copy it now: it is kept nowhere, and cannot be shown again.</p>
      </div>
      {isSheet ? <SheetAddress token={token} /> : <Address text={`${location.origin}/s/${token}`} />}
      <Button className="mt-2" onClick={onDone}>
        Done
      </Button>
    </section>
  );
}

const Address = ({ text, label = 'Copy the address' }: { text: string; label?: string }) => (
  <CopyButton
    text={text}
    label={label}
    className="mt-2 min-h-9 max-w-full border border-control bg-ground [&>span]:whitespace-pre-wrap! [&>span]:[overflow-wrap:anywhere]"
  />
);

/** The two lines by which a page follows, and the small page that shows it where there is one. */
function SheetAddress({ token }: { token: string }) {
  const { currentData: outside } = useLibraryQuery();
  const base = `${location.origin}/api/shared/${token}`;
  const lines = `<link rel="stylesheet" href="${base}/colours.css">\n<script src="${base}/follow.js"></script>`;
  return (
    <>
      <p className="mt-1">
        The first line gives a page these colours; with the second they follow while you drag.
      </p>
      <Address text={lines} label="Copy both lines" />
      {outside?.prototype && (
        <p className="mt-2">
          <a
            href={`${outside.prototype}#${base}`}
            target="_blank"
            rel="noreferrer"
            className="underline underline-offset-2"
          >
            See it on the prototype page
          </a>
          <span className="text-quiet">, a stand-in for a developer’s page, in a window of its own.</span>
        </p>
      )}
    </>
  );
}
