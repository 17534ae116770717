import type { CopiedAs } from '@mint-lamp/core/document/delivery/delivery';
import { memo, type Ref, useMemo } from 'react';
import { type ValueRow, valueRows } from '../../../kinds/values/value-rows.ts';
import { useSystem, useTheme } from '../../../store/selectors.ts';
import { ColorChip } from '../../../ui/color-chip.tsx';
import { CopyButton } from '../../../ui/copy-button.tsx';
import { useLongList } from '../../../ui/long-list.ts';

/** Roles of the present theme, gradients and shades: the hex code and the custom property, each to copy. */
export function Values({ as }: { as: CopiedAs }) {
  const system = useSystem();
  const theme = useTheme();
  const items = useMemo(() => valueRows(system, theme, as), [system, theme, as]);
  const { list, rows, before, after, measure } = useLongList<HTMLUListElement>({
    count: items.length,
    estimate: 33,
    keyOf: (index) => items[index]!.key,
    short: 300,
  });
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: a scrolling region must be reachable by keyboard
    <section aria-label="Values" tabIndex={0} data-scroller className="min-h-0 overflow-auto pr-2">
      <ul ref={list}>
        {before > 0 && <li aria-hidden style={{ height: before }} />}
        {rows.map((index) => (
          <Row key={items[index]!.key} ref={measure} index={index} row={items[index]!} />
        ))}
        {after > 0 && <li aria-hidden style={{ height: after }} />}
      </ul>
    </section>
  );
}

interface RowProps {
  ref: Ref<HTMLLIElement> | undefined;
  index: number;
  row: ValueRow;
}

const Row = memo(function Row({ ref, index, row }: RowProps) {
  if (row.kind === 'heading')
    return (
      <li ref={ref} data-index={index} className="border-b border-hair pt-4 pb-1">
        <h2 className="font-title font-semibold">{row.text}</h2>
      </li>
    );
  if (row.kind === 'group')
    return (
      <li ref={ref} data-index={index} className="pt-2 pb-0.5 text-sm text-quiet">
        <h3>{row.text}</h3>
      </li>
    );
  const { name, css, copied, property } = row.value();
  return (
    <li
      ref={ref}
      data-index={index}
      className="grid h-[33px] grid-cols-[28px_1fr_minmax(0,1.2fr)_minmax(0,1.1fr)] items-center gap-2 border-b border-hair"
    >
      <ColorChip css={css} className="size-6" />
      <span className="truncate">{name}</span>
      <CopyButton text={copied} className="min-w-0" />
      <CopyButton text={`var(${property})`} className="min-w-0">
        {property}
      </CopyButton>
    </li>
  );
});
