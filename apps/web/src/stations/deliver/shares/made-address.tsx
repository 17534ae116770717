import type { MadeShare } from '@mint-lamp/core/wire/shares';
import { useLibraryQuery } from '../../../fetching/library-api.ts';
import { Button } from '../../../ui/button.tsx';
import { CopyButton } from '../../../ui/copy-button.tsx';
import { Dialog } from '../../../ui/dialog.tsx';

/** The address of a share that was just made: the one time that it can be seen. */
export function MadeAddress({ made: { share, token }, onDone }: { made: MadeShare; onDone: () => void }) {
  return (
    <Dialog
      open
      onOpenChange={(open) => open || onDone()}
      title={`The address of ${share.name}`}
      description="Copy it now: it isn’t stored, so it can’t be shown again."
    >
      {share.subject.kind === 'css' ? (
        <SheetAddress token={token} />
      ) : (
        <Address text={`${location.origin}/s/${token}`} />
      )}
      <Button className="mt-4" onClick={onDone}>
        Done
      </Button>
    </Dialog>
  );
}

const Address = ({ text, label = 'Copy the address' }: { text: string; label?: string }) => (
  <CopyButton
    text={text}
    label={label}
    className="min-h-9 max-w-full border border-control bg-ground [&>span]:whitespace-pre-wrap! [&>span]:[overflow-wrap:anywhere]"
  />
);

/** The two lines by which a page follows, and the small page that shows it where there is one. */
function SheetAddress({ token }: { token: string }) {
  const { currentData: outside } = useLibraryQuery();
  const base = `${location.origin}/api/shared/${token}`;
  const lines = `<link rel="stylesheet" href="${base}/colours.css">\n<script src="${base}/follow.js"></script>`;
  return (
    <>
      <p className="mb-2">
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
