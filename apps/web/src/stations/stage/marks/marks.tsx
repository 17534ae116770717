import { formatRatio } from '@mint-lamp/core/contrast/ratio';
import { repairPair } from '@mint-lamp/core/edits/repairs/repair-pair';
import { measurePair } from '@mint-lamp/core/judged/pairs/measure';
import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import clsx from 'clsx';
import { useEffect, useLayoutEffect, useMemo, useState } from 'react';
import { type Pressable, partsOf } from '../../../scene/scene-parts.ts';
import { useCast } from '../../../scene/use-scene.ts';
import { useLayers, useSystem } from '../../../store/selectors.ts';
import { useResting } from '../../../ui/use-resting.ts';
import { type PartPlace, placeOfPart } from '../press/place-of-part.ts';

/** px that a label is high. */
const LABEL = 18;

interface MarksProps {
  page: HTMLElement;
  scale: number;
  theme: ResolvedTheme;
  /** Says when the page was laid out otherwise. */
  layout: string;
  onPress: (part: Pressable) => void;
  /** Told how many there are. */
  onCount: (count: number) => void;
}

interface Placed {
  readonly part: Pressable;
  readonly place: PartPlace;
  /** In px of the frame. */
  readonly box: {
    readonly left: number;
    readonly top: number;
    readonly width: number;
    readonly height: number;
  };
}

/** Every text that falls short where it stands, with its ratio and its nearest mend. */
export default function Marks({ page, scale, theme, layout, onPress, onCount }: MarksProps) {
  const uses = useCast();
  const layers = useLayers();
  const system = useResting(useSystem());
  const [placed, setPlaced] = useState<readonly Placed[]>([]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: placed anew when the page is laid out anew; colours move nothing
  useLayoutEffect(() => {
    const frame = page.getBoundingClientRect();
    setPlaced(
      partsOf(page).flatMap((part) => {
        const place = part.words ? placeOfPart(page, part, uses, theme, scale) : null;
        if (!place) return [];
        const { left, top, width, height } = part.element.getBoundingClientRect();
        return [{ part, place, box: { left: left - frame.left, top: top - frame.top, width, height } }];
      }),
    );
  }, [page, scale, uses, layout]);
  const failing = useMemo(() => {
    const own = system.themes.get(theme.theme.id);
    if (!own) return [];
    return placed.flatMap(({ part, place, box }) => {
      const measured = measurePair(system, own, place.pair, layers);
      if (measured.passes || !measured.text) return [];
      return [{ part, box, measured, mend: repairPair(system, own, measured) }];
    });
  }, [placed, system, theme.theme.id, layers]);
  useEffect(() => onCount(failing.length), [failing.length, onCount]);
  return (
    <>
      {failing.map(({ part, box, measured, mend }, i) => (
        <button
          // biome-ignore lint/suspicious/noArrayIndexKey: in the order of reading
          key={i}
          type="button"
          data-mark
          aria-label={`${part.words}: ${formatRatio(measured.ratio)} to 1, needs ${measured.required}${mend.kind === 'repair' ? `; nearest repair ${mend.name}` : ''}`}
          onClick={() => onPress(part)}
          className="absolute z-10 border-2 border-dashed border-fail"
          style={{ ...box, background: 'none' }}
        >
          <span
            className={clsx(
              'absolute right-0 bg-fail px-1 text-xs leading-4 font-semibold whitespace-nowrap text-inverse',
              box.top < LABEL ? 'top-full rounded-b-[4px]' : 'bottom-full rounded-t-[4px]',
            )}
          >
            {formatRatio(measured.ratio)}
            {mend.kind === 'repair' && ` → ${mend.name}`}
          </span>
        </button>
      ))}
    </>
  );
}
