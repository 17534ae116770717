import type { PagePaint } from '@mint-lamp/core/edits/rounds/propose-systems';
import { memo } from 'react';
import { useSampleWords } from '../../../store/selectors.ts';

/** A small page painted with a proposal: its ground with text, and other grounds with theirs. */
export const SmallPage = memo(function SmallPage({ page }: { page: PagePaint }) {
  const words = useSampleWords();
  return (
    <div
      aria-hidden
      data-specimen
      className="flex h-28 flex-col gap-1 overflow-hidden rounded-md border border-hair p-2"
      style={{ background: page.ground, color: page.text }}
    >
      <span className="font-title text-sm leading-tight font-semibold">{words.text}</span>
      <span className="text-xs leading-tight">Every hour from seven, and twice after dark.</span>
      <div className="mt-auto flex gap-1">
        {page.blocks.map(({ ground, text }, i) => (
          <span
            // biome-ignore lint/suspicious/noArrayIndexKey: blocks have no other name
            key={i}
            className="min-w-0 flex-1 truncate rounded-[4px] px-1.5 py-1 text-xs"
            style={{ background: ground, color: text }}
          >
            {[words.action, '14:20', 'New', 'More'][i]}
          </span>
        ))}
      </div>
    </div>
  );
});
