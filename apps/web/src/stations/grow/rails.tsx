import { type ContrastMark, contrastMark, lightnessOfLuminance } from '@mint-lamp/core/contrast/light-axis';
import { luminance, type Rgba } from '@mint-lamp/core/contrast/ratio';
import clsx from 'clsx';
import { useMemo, useState } from 'react';
import { useSystem } from '../../store/selectors.ts';
import { useLongList } from '../../ui/long-list.ts';
import type { LitStretch } from './lit-stretch.ts';
import { Rail } from './rail.tsx';

const RATIOS = [3, 4.5, 7] as const;
const TICKS = [0, 10, 20, 30, 40, 50, 60, 70, 80, 90, 100];

/** Px of one rail with its line. */
const RAIL_HEIGHT = 53;
/** Of more families than these, only the rails near the window are drawn. */
const FEW_RAILS = 16;

interface RailsProps {
  ground: Rgba;
  groundName: string;
  /** Id of the open family. */
  open: string | null;
}

/** All families on one light axis, with the places where contrast with the ground is reached. */
export function Rails({ ground, groundName, open }: RailsProps) {
  const { families } = useSystem();
  const [ratio, setRatio] = useState<number>(4.5);
  const y = luminance(ground);
  const groundLightness = lightnessOfLuminance(y);
  const marks = RATIOS.map((r) => contrastMark(y, r));
  const lit = marks.find((mark) => mark.ratio === ratio)!;
  const { darker, lighter } = lit;
  // The same object while the marks stand still, so that only the rails that changed are drawn again.
  const stretch = useMemo((): LitStretch => ({ to: darker, from: lighter }), [darker, lighter]);
  const list = [...families.values()];
  const {
    list: listRef,
    rows,
    before,
    after,
  } = useLongList<HTMLUListElement>({
    count: list.length,
    estimate: RAIL_HEIGHT,
    keyOf: (index) => list[index]!.family.id,
    short: FEW_RAILS,
    open: list.findIndex(({ family }) => family.id === open),
  });
  return (
    <section aria-label="Rails" className="px-5">
      <div className="grid grid-cols-[112px_1fr] pr-5">
        <div className="self-end pb-1 text-xs text-quiet">light axis, L*</div>
        <div className="relative h-12">
          {TICKS.map((tick) => (
            <span
              key={tick}
              className="absolute bottom-0 -translate-x-1/2 text-xs text-quiet"
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
          <span
            className="absolute top-0 max-w-32 -translate-x-1/2 truncate text-xs text-main"
            style={{ left: `${Math.min(94, Math.max(6, groundLightness))}%` }}
          >
            {groundName}
          </span>
        </div>
      </div>
      <div className="relative border-y border-hair">
        <div aria-hidden className="pointer-events-none absolute inset-y-0 right-5 left-[112px]">
          {marks.map((mark) => (
            <MarkLines key={mark.ratio} mark={mark} on={mark.ratio === ratio} />
          ))}
          <span
            className="absolute inset-y-0 w-0 border-l-2 border-main"
            style={{ left: `${groundLightness}%` }}
          />
        </div>
        <ul ref={listRef} className="relative divide-y divide-hair">
          {before > 0 && <li aria-hidden style={{ height: before }} />}
          {rows.map((index) => (
            <Rail key={list[index]!.family.id} index={index} resolved={list[index]!} stretch={stretch} />
          ))}
          {after > 0 && <li aria-hidden style={{ height: after }} />}
        </ul>
      </div>
      <p className="pt-1 text-sm text-quiet">
        Lit shades reach {ratio} to 1 on {groundName}; dim ones do not.
      </p>
    </section>
  );
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
        'absolute top-4 -translate-x-1/2 rounded-[4px] px-1 font-mono text-xs',
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
