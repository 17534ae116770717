import type { ClipboardEvent, Ref } from 'react';
import { Button } from '../../../ui/button.tsx';

/** A browser lays out a longer text for so long that typing stops; its beginning is shown instead. */
const MOST_SHOWN = 30_000;
const EXCERPT = 3000;

interface PasteAreaProps {
  text: string;
  onText: (text: string) => void;
  field?: Ref<HTMLTextAreaElement>;
  /** That the text is a file's, which is not thrown away for another. */
  isFile?: boolean;
}

/** Where texts are pasted. A very long one is taken whole, and its beginning shown. */
export function PasteArea({ text, onText, field, isFile = false }: PasteAreaProps) {
  const onPaste = (event: ClipboardEvent<HTMLTextAreaElement>) => {
    const pasted = event.clipboardData.getData('text/plain');
    if (pasted.length <= MOST_SHOWN) return;
    event.preventDefault();
    const { selectionStart, selectionEnd } = event.currentTarget;
    onText(text.slice(0, selectionStart) + pasted + text.slice(selectionEnd));
  };
  if (text.length <= MOST_SHOWN)
    return (
      <textarea
        ref={field}
        aria-label="Text with colours"
        value={text}
        onChange={(event) => onText(event.target.value)}
        onPaste={onPaste}
        spellCheck={false}
        placeholder="Paste here …"
        className="min-h-80 resize-none rounded-md border border-control bg-raised p-3 font-mono text-sm leading-relaxed"
      />
    );
  return (
    <section aria-label="Long text" className="flex min-w-0 flex-col gap-2">
      <div className="flex flex-wrap items-center justify-between gap-x-3 gap-y-1">
        <p>
          <b>{text.length.toLocaleString('en-GB')}</b> characters; here is the beginning
        </p>
        {!isFile && (
          <Button small onClick={() => onText('')}>
            Paste something else
          </Button>
        )}
      </div>
      <pre
        // biome-ignore lint/a11y/noNoninteractiveTabindex: a scrolling region must be reachable by keyboard
        tabIndex={0}
        className="max-h-[420px] min-h-80 overflow-auto rounded-md border border-hair bg-raised p-3 font-mono text-sm"
      >
        {text.slice(0, EXCERPT)}
      </pre>
    </section>
  );
}
