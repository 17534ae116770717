import type { SheetChoice } from '@mint-lamp/core/sheet/adopt';
import type { SheetFamily } from '@mint-lamp/core/sheet/spelled-families';
import { resolveFamily } from '@mint-lamp/core/system/families/resolved-family';
import clsx from 'clsx';
import { memo } from 'react';
import { ColorChip } from '../../../ui/color-chip.tsx';
import { useGradually } from '../../../ui/use-gradually.ts';
import type { SetChoice } from './use-sheet-choice.ts';

const MOST_TOLD = 6;
/** Labels that stand side by side. */
const MOST_LABELS = 16;

interface ProposedFamiliesProps {
  families: readonly SheetFamily[];
  choice: SheetChoice;
  set: SetChoice;
}

/** The families of a proposal: each shade above, and touching it what stands in the sheet and would become it. */
export const ProposedFamilies = memo(function ProposedFamilies({
  families,
  choice,
  set,
}: ProposedFamiliesProps) {
  const drawn = useGradually(families, AT_ONCE);
  if (!families.length) return null;
  return (
    <section aria-label="Proposed families" className="mb-5">
      <h2 className="font-title text-lg font-semibold">Families</h2>
      <p className="mb-1 text-sm text-quiet">
        Above each shade, beneath it the colours of the sheet that it stands for.
      </p>
      <ul className="divide-y divide-hair border-y border-hair">
        {drawn.map((family) => (
          <ProposedFamily
            key={family.key}
            family={family}
            taken={choice.families.has(family.key)}
            unsnapped={choice.unsnapped}
            set={set}
          />
        ))}
      </ul>
    </section>
  );
});

/** Families that are drawn in one frame. */
const AT_ONCE = 4;

const colorsTold = ({ snapped }: SheetFamily) =>
  `${snapped.length} ${snapped.length === 1 ? 'colour' : 'colours'}`;

interface ProposedFamilyProps {
  family: SheetFamily;
  taken: boolean;
  unsnapped: ReadonlySet<string>;
  set: SetChoice;
}

const ProposedFamily = memo(function ProposedFamily({ family, taken, unsnapped, set }: ProposedFamilyProps) {
  const { key, name, base, growth, handSet } = family;
  const { shades } = resolveFamily({ id: key, name, base, follows: null, growth, handSet });
  const far = family.snapped.filter(({ distance }) => distance > 0);
  return (
    <li
      className={clsx(
        'flex gap-3 py-2.5 [contain-intrinsic-size:auto_73px] [content-visibility:auto]',
        !taken && 'opacity-50',
      )}
    >
      <label className="flex w-32 shrink-0 items-start gap-2">
        <input
          type="checkbox"
          checked={taken}
          onChange={(event) => set('families', [key], event.target.checked)}
          className="mt-1"
        />
        <span className="min-w-0">
          <b className="block truncate">{name}</b>
          <span className="text-sm text-quiet">
            {family.shades.size ? 'spelled out' : colorsTold(family)}
          </span>
        </span>
      </label>
      <div className="min-w-0 flex-1">
        <div aria-hidden className="flex gap-px">
          {shades.map((shade, i) => {
            const here = family.snapped.filter(
              (one) => one.shade === shade.label && !unsnapped.has(one.color),
            );
            return (
              <div key={shade.label} className="min-w-0 flex-1">
                <div className="h-7" style={{ background: shade.css }} />
                <div className="flex h-4">
                  {here.map(({ color }) => (
                    <span key={color} className="flex-1" style={{ background: color }} />
                  ))}
                </div>
                <p
                  className={clsx(
                    'truncate text-center text-sm',
                    shade.isBase ? 'font-semibold' : 'text-quiet',
                    // Of many, every other one: side by side they would read as one number.
                    shades.length > MOST_LABELS && i % 2 === 1 && !shade.isBase && 'invisible',
                  )}
                >
                  {shade.label}
                </p>
              </div>
            );
          })}
        </div>
        {far.length > 0 && (
          <div className="mt-1 flex flex-wrap items-center gap-1.5 text-sm">
            <span className="text-quiet">Colours that shift, furthest first</span>
            {far.slice(0, MOST_TOLD).map(({ color, shade, distance }) => {
              const stays = unsnapped.has(color);
              return (
                <button
                  key={color}
                  type="button"
                  aria-pressed={stays}
                  aria-label={`${color} to ${shade}, ΔE ${distance.toFixed(3)}${stays ? ', stays as it is' : ''}`}
                  title={stays ? 'Stays as it is' : `Press to keep ${color} as it is`}
                  onClick={() => set('unsnapped', [color], !stays)}
                  className={clsx(
                    'inline-flex items-center rounded-md border border-hair px-1 hover:bg-pressed',
                    stays && 'text-quiet line-through',
                  )}
                >
                  <ColorChip css={color} className="size-4 rounded-r-none!" />
                  <ColorChip
                    css={stays ? color : (shades.find(({ label }) => label === shade)?.css ?? null)}
                    className="mr-1 size-4 rounded-l-none! border-l-0!"
                  />
                  {shade} <span className="ml-1 font-mono text-sm text-quiet">{distance.toFixed(3)}</span>
                </button>
              );
            })}
            {far.length > MOST_TOLD && <span className="text-quiet">and {far.length - MOST_TOLD} more</span>}
          </div>
        )}
      </div>
    </li>
  );
});
