import { memo } from 'react';
import type { Sample } from './straight.ts';

/** Px of each lane's height, and of the gap between. */
export const LANE = { lightness: 92, chroma: 64, opacity: 36, gap: 6 } as const;
/** Chroma is drawn so that 0.4, beyond any sRGB colour, is the full height. */
const CHROMA_TOP = 0.4;
/** Below this chroma a hue is not seen. */
const NO_HUE = 0.01;

const pathOf = (samples: readonly Sample[], of: (sample: Sample) => number | null) => {
  let path = '';
  let isOpen = false;
  let last: number | null = null;
  for (const sample of samples) {
    const y = of(sample);
    // Hues that go round are two lines and not one across all others.
    const jumps =
      y !== null && last !== null && Math.abs(y - last) > 0.5 && of !== lightness && of !== chroma;
    if (y === null || jumps) isOpen = false;
    if (y !== null) {
      path += `${isOpen ? 'L' : 'M'}${sample.at} ${((1 - y) * 100).toFixed(2)}`;
      isOpen = true;
    }
    last = y;
  }
  return path;
};
const lightness = (sample: Sample) => sample.lightness;
const chroma = (sample: Sample) => Math.min(1, sample.chroma / CHROMA_TOP);
const hue = (sample: Sample) => (sample.chroma < NO_HUE ? null : sample.hue / 360);
const opacity = (sample: Sample) => sample.alpha;

const LINES = [
  { lane: 'lightness', name: 'lightness', of: lightness, dash: undefined },
  { lane: 'chroma', name: 'chroma', of: chroma, dash: '5 4' },
  { lane: 'chroma', name: 'hue', of: hue, dash: '1 3' },
  { lane: 'opacity', name: 'opacity', of: opacity, dash: undefined },
] as const;

/** Lanes below the strip on its axis: lightness; chroma and hue; opacity where it is not all 1. For sighted eyes. */
export const Lanes = memo(function Lanes({ samples }: { samples: readonly Sample[] }) {
  const isTranslucent = samples.some(({ alpha }) => alpha < 1);
  const lanes = isTranslucent
    ? (['lightness', 'chroma', 'opacity'] as const)
    : (['lightness', 'chroma'] as const);
  return (
    <>
      {lanes.map((lane) => (
        <div
          key={lane}
          aria-hidden
          data-lane={lane}
          className="relative border-t border-b border-hair bg-raised"
          style={{ height: LANE[lane], marginTop: LANE.gap }}
        >
          <svg
            aria-hidden
            viewBox="0 0 100 100"
            preserveAspectRatio="none"
            className="absolute inset-0 size-full"
          >
            <path d="M0 50H100" className="stroke-hair" vectorEffect="non-scaling-stroke" />
            {LINES.filter((line) => line.lane === lane).map(({ name, of, dash }) => (
              <path
                key={name}
                data-line={name}
                d={pathOf(samples, of)}
                fill="none"
                className="stroke-main"
                strokeWidth={name === 'hue' ? 2.5 : 2}
                strokeLinecap={name === 'hue' ? 'round' : undefined}
                strokeDasharray={dash}
                vectorEffect="non-scaling-stroke"
              />
            ))}
          </svg>
        </div>
      ))}
    </>
  );
});
