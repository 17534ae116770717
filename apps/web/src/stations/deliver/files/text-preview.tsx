import clsx from 'clsx';
import { useMemo } from 'react';

/** Characters of a file that are shown; browsers lay out millions of them for many seconds. */
const SHOWN = 60_000;
/** Lines that may be marked one by one; of more, all are shown plainly. */
const MOST_MARKED = 2000;

interface TextPreviewProps {
  text: string;
  /** Numbers of lines, from 0, that are not as they were. */
  changed: ReadonlySet<number> | null;
  /** Another one is being written. */
  busy: boolean;
  className: string;
}

/** A stretch of lines that are all changed, or none. */
interface Stretch {
  readonly from: number;
  readonly text: string;
  readonly isChanged: boolean;
}

function stretchesOf(text: string, changed: ReadonlySet<number> | null): Stretch[] {
  if (!changed?.size || changed.size > MOST_MARKED) return [{ from: 0, text, isChanged: false }];
  const out: { from: number; lines: string[]; isChanged: boolean }[] = [];
  text.split('\n').forEach((line, i) => {
    const isChanged = changed.has(i);
    const last = out[out.length - 1];
    if (last?.isChanged === isChanged) last.lines.push(line);
    else out.push({ from: i, lines: [line], isChanged });
  });
  return out.map(({ from, lines, isChanged }) => ({ from, text: `${lines.join('\n')}\n`, isChanged }));
}

/** A file of text, its beginning where it is long; lines that changed since it went out are marked. */
export function TextPreview({ text, changed, busy, className }: TextPreviewProps) {
  const isCut = text.length > SHOWN;
  const shown = isCut ? text.slice(0, text.lastIndexOf('\n', SHOWN) + 1) : text;
  const stretches = useMemo(() => stretchesOf(shown, changed), [shown, changed]);
  return (
    <>
      <pre
        aria-busy={busy}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: a scrolling region must be reachable by keyboard
        tabIndex={0}
        className={clsx(className, 'overflow-auto p-3 font-mono text-sm')}
      >
        {stretches.map(({ from, text: part, isChanged }) =>
          isChanged ? (
            <mark
              key={from}
              className="-mx-3 block border-l-4 border-look bg-pressed pr-3 pl-2 text-main"
              title="Changed since the last hand-over"
            >
              {part.replace(/\n$/, '')}
            </mark>
          ) : (
            <span key={from}>{part}</span>
          ),
        )}
      </pre>
      {isCut && (
        <p className="pt-1 text-sm text-quiet">
          This is the beginning. Copy and download give you all of it.
        </p>
      )}
    </>
  );
}
