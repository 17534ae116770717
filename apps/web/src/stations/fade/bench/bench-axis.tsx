import { sameJson } from '@mint-lamp/core/document/same';
import type { AlongGradient, Stretch } from '@mint-lamp/core/gradient/along-gradient';
import { percentOf } from '@mint-lamp/core/gradient/model';
import { clamp } from '@mint-lamp/core/numbers/clamp';
import type { ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import { useMemo, useRef } from 'react';
import { useEditing } from '../../../store/editing.ts';
import { inTurns } from '../../../store/in-turns.tsx';
import { type Pointed, shareAcross, useDrag } from '../../../ui/use-drag.ts';
import type { BoxSize } from '../preview/purposes.ts';
import { useAddStop } from '../use-add-stop.ts';
import { useGradient } from '../use-gradient.ts';
import { LANE, Lanes } from './lanes.tsx';
import { MovingPosts } from './moving-posts.tsx';
import { STRIP } from './painted-posts.ts';
import { Post } from './post.tsx';
import { PostMenu } from './post-menu.tsx';
import { SideMarks } from './side-marks.tsx';
import { samplesAlong, straightCss } from './straight.ts';
import { TextLane } from './text-lane.tsx';
import { useLine } from './use-line.ts';

interface OnPreview {
  /** Its id. */
  gradient: string;
  /** Of its preview, px, of which places in px are parts. */
  size: BoxSize;
}

interface BenchAxisProps extends OnPreview {
  resolved: ResolvedGradient;
  openStop: string | null;
  /** Where a text on it passes; null where none is tried. */
  along: AlongGradient | null;
  /** The part of the line that lies under that text. */
  under: Stretch | null;
}

/** Px of a drag from which a colour is carried along the strip. */
const CARRIED_PX = 6;

const LABELS = [
  { lane: 'lightness', says: 'light', height: LANE.lightness },
  { lane: 'chroma', says: 'chroma', height: LANE.chroma },
] as const;

/** The strip, the gradient drawn straight from 0 to 100 %, and below it on the same axis its profile, with the posts in both. */
export function BenchAxis({ gradient: id, size, resolved, openStop, along, under }: BenchAxisProps) {
  const { gradient, stops, colors } = resolved;
  const { length } = useLine(resolved, size);
  const places = stops.map((stop) => Math.round(percentOf(stop.places[0], length) * 100) / 100);
  const pointer = useTaking(resolved);
  const standing = useRef<HTMLDivElement>(null);
  return (
    <figure aria-label="Strip and profile: lightness, chroma and hue along the gradient" className="m-0">
      <div className="grid grid-cols-[48px_1fr]">
        <LaneLabels />
        <div className="mr-2">
          <PostMenu gradient={gradient.id}>
            <div data-axis className="relative">
              <div
                data-testid="gradient-area"
                title="Click to add a stop here; drag to copy this colour elsewhere"
                className="cursor-copy touch-none"
                {...pointer}
              >
                <Strip gradient={id} size={size} />
                <Profile gradient={id} size={size} />
              </div>
              <MovingPosts gradient={id} {...{ length, openStop, standing }} />
              <div ref={standing} className="pointer-events-none absolute inset-0">
                {stops.map((stop, i) => (
                  <Post
                    key={stop.id}
                    gradient={gradient.id}
                    stop={stop}
                    index={i}
                    position={places[i]!}
                    before={places[i - 1] ?? null}
                    after={places[i + 1] ?? null}
                    color={colors[i] ?? null}
                    on={stop.id === openStop}
                  />
                ))}
              </div>
              <SideMarks gradient={gradient} length={length} />
            </div>
          </PostMenu>
          {along && <TextLane along={along} under={under} />}
          <div aria-hidden className="relative h-5 text-sm text-quiet">
            {[0, 25, 50, 75, 100].map((at) => (
              <span
                key={at}
                className="absolute top-0.5 -translate-x-1/2 whitespace-nowrap"
                style={{ left: `${at}%` }}
              >
                {at} %
              </span>
            ))}
          </div>
        </div>
      </div>
      <Legend isTried={along !== null} />
    </figure>
  );
}

// Posts are drawn with every move, and what they stand in in its turn.
const Strip = inTurns(
  function Strip({ gradient, size }: OnPreview) {
    const { straight } = useLine(useGradient(gradient), size);
    return (
      <div
        data-specimen
        data-testid="gradient-strip"
        className="checker overflow-hidden rounded-[4px]"
        style={{ height: STRIP }}
      >
        <div className="size-full" style={{ background: straightCss(straight) }} />
      </div>
    );
  },
  { box: '' },
);

const Profile = inTurns(
  function Profile({ gradient, size }: OnPreview) {
    const { straight } = useLine(useGradient(gradient), size);
    const samples = useMemo(() => (straight ? samplesAlong(straight) : []), [straight]);
    return <Lanes samples={samples} />;
  },
  { box: 'flow-root' },
);

/** A press adds a stop where it is; a drag carries the colour from where it began to where it ends. */
function useTaking(resolved: ResolvedGradient) {
  const { add, commandOf } = useAddStop(resolved);
  const { preview } = useEditing();
  const placeIn = (box: DOMRect, at: Pointed) =>
    Math.round(clamp(shareAcross(box, at) * 100, 0, 100) * 10) / 10;
  const { pointer } = useDrag({
    grip(element, at) {
      const box = element.getBoundingClientRect();
      return { box, from: placeIn(box, at) };
    },
    at: ({ box, from }, to) => ({ from, to: placeIn(box, to) }),
    from: CARRIED_PX,
    same: sameJson,
    show: (carried) => preview(carried && commandOf(carried.to, carried.from)),
    make: ({ from, to }) => add(to, from),
    onPress: ({ from }, moved) => {
      if (!moved) add(from, from);
    },
    says: ({ to }) => `A stop at ${to} %`,
  });
  return pointer;
}

function LaneLabels() {
  return (
    <div aria-hidden className="text-right text-sm text-quiet">
      <div style={{ height: STRIP + LANE.gap }} />
      {LABELS.map(({ lane, says, height }) => (
        <div
          key={lane}
          className="flex flex-col justify-between pr-1.5"
          style={{ height, marginBottom: LANE.gap }}
        >
          <span>{lane === 'lightness' ? '100' : '0.4'}</span>
          <span>{says}</span>
          <span>0</span>
        </div>
      ))}
    </div>
  );
}

function Legend({ isTried }: { isTried: boolean }) {
  return (
    <figcaption className="flex gap-4 pl-12 text-sm text-quiet">
      <span>
        <span aria-hidden className="mr-1.5 inline-block w-5 border-t-2 border-main align-middle" />
        lightness
      </span>
      <span>
        <span
          aria-hidden
          className="mr-1.5 inline-block w-5 border-t-2 border-dashed border-main align-middle"
        />
        chroma
      </span>
      <span>
        <span
          aria-hidden
          className="mr-1.5 inline-block w-5 border-t-3 border-dotted border-main align-middle"
        />
        hue, once round
      </span>
      {isTried && (
        <>
          <span>
            <span aria-hidden className="mr-1.5 inline-block h-[5px] w-5 rounded-full bg-main align-middle" />
            the text passes
          </span>
          <span>
            <span
              aria-hidden
              className="mr-1.5 inline-block h-3 w-5 rounded-[3px] border border-control bg-pressed align-middle"
            />
            under its box
          </span>
        </>
      )}
    </figcaption>
  );
}
