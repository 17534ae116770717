/** Text that the browser did not let the page copy, selected, so that the keys for copying do it. */
export function CopyByHand({ text, onDone }: { text: string; onDone: () => void }) {
  const isLong = text.includes('\n') || text.length > 60;
  return (
    <span className="inline-flex min-w-0 flex-col gap-0.5">
      <textarea
        ref={(field) => {
          field?.focus();
          field?.select();
        }}
        readOnly
        rows={isLong ? 6 : 1}
        aria-label="Copy it by hand"
        value={text}
        onBlur={onDone}
        onKeyDown={(event) => {
          if (event.key !== 'Escape') return;
          event.stopPropagation();
          onDone();
        }}
        className={`${isLong ? 'w-72' : 'w-full min-w-32'} resize-none rounded-md border border-control bg-raised px-1.5 py-0.5 font-mono text-sm`}
      />
      <span role="status" className="text-sm text-look">
        This browser does not let the page copy. It is selected: press Ctrl or Cmd and C.
      </span>
    </span>
  );
}
