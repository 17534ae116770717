import { type ReactNode, useEffect, useState } from 'react';
import { filesOf } from './files-of.ts';
import { useIncoming } from './use-incoming.ts';

/** A part of the station that takes pictures that are dropped on it; pasted ones are taken from anywhere. */
export function TakeFiles({ className, children }: { className?: string; children: ReactNode }) {
  const incoming = useIncoming();
  const [over, setOver] = useState(false);
  useEffect(() => {
    const onPaste = (event: ClipboardEvent) => {
      const data = event.clipboardData;
      // What comes with a text of its own is a text, as from a document.
      if (event.defaultPrevented || !data?.files.length || data.getData('text/plain')) return;
      event.preventDefault();
      void incoming(filesOf(data));
    };
    addEventListener('paste', onPaste);
    return () => removeEventListener('paste', onPaste);
  }, [incoming]);
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: files can also be opened by a button and pasted
    <div
      className={className}
      onDragOver={(event) => {
        if (!event.dataTransfer.types.includes('Files')) return;
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget as Node | null)) setOver(false);
      }}
      onDrop={(event) => {
        if (!event.dataTransfer.files.length) return;
        event.preventDefault();
        setOver(false);
        void incoming(filesOf(event.dataTransfer));
      }}
    >
      {children}
      {over && (
        <div className="pointer-events-none absolute inset-2 z-20 grid place-content-center rounded-md border-2 border-ring bg-veil text-lg text-inverse">
          <span className="rounded-md bg-main px-4 py-2">Drop to open</span>
        </div>
      )}
    </div>
  );
}
