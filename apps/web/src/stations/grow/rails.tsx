import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { type ContrastMark, contrastMark, lightnessOfLuminance } from '@mint-lamp/core/contrast/light-axis';
import { luminance } from '@mint-lamp/core/contrast/ratio';
import { clamp } from '@mint-lamp/core/numbers/clamp';
import clsx from 'clsx';
import { useMemo, useState } from 'react';
import { inTurns } from '../../store/in-turns.tsx';
import { selectSystem } from '../../store/selectors.ts';
import { useAppSelector } from '../../store/store.ts';
import { HelpMark } from '../../ui/help-mark.tsx';
import { useLongList } from '../../ui/long-list.ts';
import type { RailGround } from './grounds/use-rail-grounds.ts';
import { litStretch } from './lit-stretch.ts';
import { Rail, railId } from './rail.tsx';

const RATIOS = [3, 4.5, 7] as const;
const TICKS = [0, 10, 20, 30, 40, 50, 60, 70, 80, 90, 100];

/** Px of one rail with its line. */
const RAIL_HEIGHT = 53;
/** Of more families than these, only the rails near the window are drawn. */
const FEW_RAILS = 16;

interface RailsProps {
  grounds: readonly RailGround[];
  /** Id of the open family. */
  open: string | null;
}

/** All families on one light axis, with the places where contrast with the ground is reached. */
export const Rails = inTurns(function Rails({ grounds, open }: RailsProps) {
  const ids = useAppSelector((state) => [...selectSystem(state).families.keys()].join(' '));
  const list = useMemo(() => (ids ? ids.split(' ') : []), [ids]);
  const [ratio, setRatio] = useState<number>(4.5);
  const [first, second] = grounds;
  const y = luminance(first!.color);
  const marks = RATIOS.map((r) => contrastMark(y, r));
  const other = second ? contrastMark(luminance(second.color), ratio) : null;
  const passing = litStretch([marks.find((mark) => mark.ratio === ratio)!, ...(other ? [other] : [])]);
  // The same object while the marks stand still, so that only the rails that changed are drawn again.
  // biome-ignore lint/correctness/useExhaustiveDependencies: by its numbers
  const stretch = useMemo(() => passing, [passing.flat().join(' ')]);
  const order = useMemo(() => list.map(railId), [list]);
  const {
    list: listRef,
    rows,
    before,
    after,
  } = useLongList<HTMLUListElement>({
    count: list.length,
    estimate: RAIL_HEIGHT,
    keyOf: (index) => list[index]!,
    short: FEW_RAILS,
    open: open === null ? -1 : list.indexOf(open),
  });
  return (
    <section aria-label="Rails" className="px-5">
      <div className="grid grid-cols-[112px_1fr] pr-5">
        <div className="flex items-center self-end text-sm text-quiet" data-help="rail">
          light axis, L* <HelpMark of="rail" about="Light axis" />
        </div>
        <div className="relative h-12">
          {TICKS.map((tick) => (
            <span
              key={tick}
              className="absolute bottom-0 -translate-x-1/2 text-sm text-quiet"
              style={{ left: `${tick}%` }}
            >
              {tick}
            </span>
          ))}
          {marks.map((mark) => (
            <MarkHandle
              key={mark.ratio}
              mark={mark}
              on={mark.ratio === ratio}
              onPick={() => setRatio(mark.ratio)}
            />
          ))}
          {other &&
            second &&
            places(other).map((place) => (
              <span
                key={place}
                title={`${ratio} to 1 on ${second.name} begins at L* ${place.toFixed(1)}`}
                className="absolute top-4 -translate-x-1/2 rounded-[4px] border border-main bg-ground px-1 font-mono text-sm"
                style={{ left: `${place}%` }}
              >
                {ratio}
              </span>
            ))}
          <GroundNames grounds={grounds} />
        </div>
      </div>
      <div className="relative border-y border-hair">
        <div aria-hidden className="pointer-events-none absolute inset-y-0 right-5 left-[112px]">
          {marks.map((mark) => (
            <MarkLines key={mark.ratio} mark={mark} on={mark.ratio === ratio} />
          ))}
          {other && <MarkLines mark={other} on />}
          {grounds.map(({ name, color }) => (
            <span
              key={name}
              className="absolute inset-y-0 w-0 border-l-2 border-main"
              style={{ left: `${lightnessOfLuminance(luminance(color))}%` }}
            />
          ))}
        </div>
        <SortableContext items={order} strategy={verticalListSortingStrategy}>
          <ul ref={listRef} className="relative divide-y divide-hair">
            {before > 0 && <li aria-hidden style={{ height: before }} />}
            {rows.map((index) => (
              <Rail key={list[index]!} index={index} family={list[index]!} stretch={stretch} />
            ))}
            {after > 0 && <li aria-hidden style={{ height: after }} />}
          </ul>
        </SortableContext>
      </div>
      <p className="pt-1 text-sm text-quiet">
        Lit shades reach {ratio} to 1 on {grounds.map(({ name }) => name).join(' and on ')}; dim ones do not
        {second ? ' on one of them' : ''}.
      </p>
    </section>
  );
});

/** The names of the grounds at their places; two that are near each other stand beside one another. */
function GroundNames({ grounds }: { grounds: readonly RailGround[] }) {
  const placed = grounds.map(({ name, color }) => ({ name, at: lightnessOfLuminance(luminance(color)) }));
  const apart = placed.length < 2 || Math.abs(placed[0]!.at - placed[1]!.at) > 24;
  return placed.map(({ name, at }, i) => {
    const held = clamp(at, 6, 94);
    const isLower = !apart && placed[1 - i]!.at > at;
    return (
      <span
        key={name}
        className={clsx(
          'absolute top-0 max-w-32 truncate text-sm text-main',
          apart ? '-translate-x-1/2' : isLower ? '-translate-x-full pr-1' : '',
        )}
        style={{ left: `${apart ? held : isLower ? Math.max(14, at) : Math.min(86, at)}%` }}
      >
        {name}
      </span>
    );
  });
}

const places = ({ darker, lighter }: ContrastMark) => [darker, lighter].filter((place) => place !== null);

function MarkHandle({ mark, on, onPick }: { mark: ContrastMark; on: boolean; onPick: () => void }) {
  return places(mark).map((place) => (
    <button
      key={place}
      type="button"
      aria-pressed={on}
      aria-label={`Mark ${mark.ratio} to 1, at L* ${place.toFixed(1)}`}
      title={`${mark.ratio} to 1 begins at L* ${place.toFixed(1)}`}
      onClick={onPick}
      className={clsx(
        'absolute top-4 -translate-x-1/2 rounded-[4px] px-1 font-mono text-sm',
        on ? 'z-10 bg-main text-inverse' : 'bg-sunken text-main hover:bg-pressed',
      )}
      style={{ left: `${place}%` }}
    >
      {mark.ratio}
    </button>
  ));
}

function MarkLines({ mark, on }: { mark: ContrastMark; on: boolean }) {
  return places(mark).map((place) => (
    <span
      key={place}
      className={clsx('absolute inset-y-0 w-0 border-l', on ? 'border-main' : 'border-dashed border-control')}
      style={{ left: `${place}%` }}
    />
  ));
}
