import clsx from 'clsx';
import { Check, Copy } from 'lucide-react';
import { memo, type ReactNode, useEffect, useState } from 'react';
import { CopyByHand } from './copy-by-hand.tsx';
import { copyText } from './copy-text.ts';

const SHOWN_MS = 1400;

interface CopyButtonProps {
  /** What goes to the clipboard. */
  text: string;
  /** What the button shows; the text itself if left out. */
  children?: ReactNode;
  label?: string;
  /** Without the sign, where many stand close together. */
  bare?: boolean;
  className?: string;
}

/** Copies with one click and says so in its own place. */
export const CopyButton = memo(function CopyButton(props: CopyButtonProps) {
  const { text, children, label = `Copy ${text}`, bare = false, className } = props;
  const [copied, setCopied] = useState(false);
  useEffect(() => {
    if (!copied) return;
    const timer = setTimeout(() => setCopied(false), SHOWN_MS);
    return () => clearTimeout(timer);
  }, [copied]);
  const [byHand, setByHand] = useState(false);
  const copy = () =>
    copyText(text).then(
      () => setCopied(true),
      () => setByHand(true),
    );
  if (byHand) return <CopyByHand text={text} onDone={() => setByHand(false)} />;
  const Icon = copied ? Check : Copy;
  return (
    <button
      type="button"
      aria-label={copied ? `Copied ${text}` : label}
      onClick={copy}
      className={clsx(
        'inline-flex min-h-[24px] min-w-0 items-center gap-1.5 rounded-md px-1.5 py-0.5 text-left font-mono text-sm hover:bg-pressed',
        className,
      )}
    >
      <span className="min-w-0 truncate">{copied ? 'Copied' : (children ?? text)}</span>
      {!bare && <Icon aria-hidden className="size-3.5 shrink-0 text-quiet" />}
    </button>
  );
});
