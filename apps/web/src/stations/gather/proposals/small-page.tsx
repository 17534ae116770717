import type { PagePaint } from '@mint-lamp/core/system/rounds/propose-systems';
import { memo } from 'react';

/** A small page painted with a proposal: its ground with text, and other grounds with theirs. */
export const SmallPage = memo(function SmallPage({ page }: { page: PagePaint }) {
  return (
    <div
      aria-hidden
      data-specimen
      className="flex h-28 flex-col gap-1 overflow-hidden rounded-md border border-hair p-2"
      style={{ background: page.ground, color: page.text }}
    >
      <span className="font-title text-sm leading-tight font-semibold">Hallin to Grey Holm</span>
      <span className="text-xs leading-tight">Every hour from seven, and twice after dark.</span>
      <div className="mt-auto flex gap-1">
        {page.blocks.map(({ ground, text }, i) => (
          <span
            // biome-ignore lint/suspicious/noArrayIndexKey: blocks have no other name
            key={i}
            className="min-w-0 flex-1 truncate rounded-[4px] px-1.5 py-1 text-xs"
            style={{ background: ground, color: text }}
          >
            {['Book', '14:20', 'Delayed', 'Pier 2'][i]}
          </span>
        ))}
      </div>
    </div>
  );
});
