import type { RuleUse } from '@mint-lamp/core/sheet/rule-uses';
import type { SheetSystem } from '@mint-lamp/core/sheet/sheet-system';
import clsx from 'clsx';
import { memo, useMemo, useState } from 'react';
import { ColorChip } from '../../../ui/color-chip.tsx';

const NAMES: readonly (readonly [RuleUse, string])[] = [
  ['text', 'Text'],
  ['ground', 'Grounds'],
  ['line', 'Lines'],
  ['shadow', 'Shadows'],
  ['gradient', 'Gradients'],
  ['drawing', 'Drawings'],
];
const MOST = 14;
const MOST_PLACES = 24;

/** The colours that rules write out instead of a custom property, by what they are used for. */
export const UsedInRules = memo(function UsedInRules({
  system: { uses, useCounts },
}: {
  system: SheetSystem;
}) {
  const [open, setOpen] = useState<string | null>(null);
  const byUse = useMemo(
    () =>
      NAMES.map(([use, name]) => ({
        use,
        name,
        colors: uses.filter((one) => one.use === use),
        all: useCounts[use]?.colors ?? 0,
      })),
    [uses, useCounts],
  );
  if (!uses.length) return null;
  return (
    <section
      aria-label="Written out in rules"
      className="mb-5 [contain-intrinsic-size:auto_400px] [content-visibility:auto]"
    >
      <h2 className="font-title text-lg font-semibold">Written out in rules</h2>
      <p className="mb-1 text-sm text-quiet">
        Colours written straight into rules, not as custom properties. Press one to see where.
      </p>
      <dl className="grid grid-cols-[6rem_1fr] gap-y-1.5">
        {byUse
          .filter(({ colors }) => colors.length)
          .map(({ use, name, colors, all }) => (
            <div key={use} className="col-span-2 grid grid-cols-subgrid border-t border-hair pt-1.5">
              <dt>
                {name} <span className="text-sm text-quiet">{all}</span>
              </dt>
              <dd className="flex flex-wrap gap-x-3 gap-y-1">
                {colors.slice(0, MOST).map(({ key, color, count }) => (
                  <button
                    key={key}
                    type="button"
                    aria-expanded={open === key}
                    onClick={() => setOpen(open === key ? null : key)}
                    className={clsx(
                      'flex items-center gap-1 rounded-md pr-1 text-sm hover:bg-pressed',
                      open === key && 'bg-pressed',
                    )}
                  >
                    <ColorChip css={color} className="size-5" />
                    <span className="font-mono">{color}</span>
                    <span className="text-quiet">×{count}</span>
                  </button>
                ))}
                {all > MOST && <span className="text-sm text-quiet">and {all - MOST} more</span>}
                {colors
                  .filter(({ key }) => key === open)
                  .map(({ key, selectors, places, file, line }) => (
                    <p key={key} className="w-full font-mono text-sm break-words">
                      {selectors.slice(0, MOST_PLACES).join(', ')}
                      <span className="font-sans text-quiet">
                        {places > MOST_PLACES && ` and ${places - MOST_PLACES} more`}, first in{' '}
                        {file && `${file}, `}line {line}
                      </span>
                    </p>
                  ))}
              </dd>
            </div>
          ))}
      </dl>
    </section>
  );
});
