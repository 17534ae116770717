import { describeColor } from '@mint-lamp/core/color/describe';
import type { MergedColor } from '@mint-lamp/core/color/find';
import { readColor } from '@mint-lamp/core/color/parse';
import clsx from 'clsx';
import { Check } from 'lucide-react';
import { memo } from 'react';
import { ColorChip } from '../../../ui/color-chip.tsx';

interface FoundTileProps {
  item: MergedColor;
  chosen: boolean;
  inTray: boolean;
  onToggle: (color: string) => void;
}

/** One found colour, large, with its code and how often it occurs; a click leaves it out or takes it in again. */
export const FoundTile = memo(function FoundTile({ item, chosen, inTray, onToggle }: FoundTileProps) {
  const spelling = item.spellings[0]!;
  const description = describeColor(readColor(item.color));
  return (
    // What is far from the window is neither laid out nor painted.
    <li className="[contain-intrinsic-size:auto_78px] [content-visibility:auto]">
      {/* biome-ignore lint/a11y/useSemanticElements: a tile that is a check box */}
      <button
        type="button"
        role="checkbox"
        aria-checked={inTray || chosen}
        disabled={inTray}
        aria-label={`${spelling}, ${description}, ${item.count === 1 ? 'found once' : `found ${item.count} times`}${inTray ? ', in the tray already' : ''}`}
        title={`${description}\nwritten as ${item.spellings.join(', ')}, first in line ${item.line}`}
        onClick={() => onToggle(item.color)}
        className="w-full rounded-md text-left disabled:cursor-default"
      >
        <span className="relative block h-14">
          <ColorChip
            css={item.color}
            className={clsx(
              'w-full rounded-md!',
              chosen || inTray ? 'h-14' : 'mx-[20%] mt-2 mb-2 h-10 w-[60%]!',
            )}
          />
          {(chosen || inTray) && (
            <span className="absolute right-1.5 bottom-2.5 grid size-4.5 place-content-center rounded-full bg-raised text-main">
              <Check aria-hidden className="size-3.5" />
            </span>
          )}
        </span>
        <span className="flex items-baseline justify-between gap-1 text-sm">
          <span className="truncate font-mono">{spelling}</span>
          <span className="shrink-0 text-quiet">{inTray ? 'in tray' : `×${item.count}`}</span>
        </span>
        {item.twins.length > 0 && (
          <span className="flex items-center gap-0.5 text-sm text-quiet">
            with
            {item.twins.slice(0, 5).map((twin) => (
              <ColorChip key={twin} css={twin} className="size-3" />
            ))}
          </span>
        )}
      </button>
    </li>
  );
});
