import { readGradient } from '@mint-lamp/core/gradient/read-css';
import { writeGradient } from '@mint-lamp/core/gradient/write-css';
import type { SetContent } from '@mint-lamp/core/shelf/shelf-set';
import { useMemo } from 'react';

/** Colours that a bar has room for. */
const MOST = 24;

/** A set as it is seen: its colours side by side, or its gradient. */
export function SetBar({ content, colors }: { content: SetContent; colors: readonly string[] }) {
  // What others have written is painted from what was read of it, and not as it was written.
  const gradient = useMemo(() => {
    if (content.kind !== 'gradient') return null;
    const read = readGradient(content.css);
    return read.ok ? writeGradient(read.gradient) : null;
  }, [content]);
  return (
    <span
      aria-hidden
      data-specimen
      className="flex h-16 w-full overflow-hidden rounded-md border border-hair"
    >
      {gradient ? (
        <span className="size-full" style={{ background: gradient }} />
      ) : (
        colors.slice(0, MOST).map((color, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a colour may come twice
          <span key={i} className="min-w-0 flex-1" style={{ background: color }} />
        ))
      )}
    </span>
  );
}
