import { rgb8ToOklch } from '@mint-lamp/core/color/gamut';
import { percentOf } from '@mint-lamp/core/gradient/model';
import type { ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import { useMemo } from 'react';
import { CartesianGrid, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { sampler } from './sampled.ts';

const STEPS = 60;
/** Px of the line that places in px are shown on. */
const LINE = 600;
/** Chroma is drawn so that 0.4, beyond any sRGB colour, is the full height. */
const CHROMA_TOP = 0.4;

/** Lightness and chroma along the gradient, in OKLCH: a sag in chroma between stops is a grey dip. */
export default function Profile({ resolved }: { resolved: ResolvedGradient }) {
  const data = useMemo(() => {
    const colorAt = sampler(resolved);
    if (!colorAt) return [];
    return Array.from({ length: STEPS + 1 }, (_, i) => {
      const at = (i / STEPS) * 100;
      const { r, g, b } = colorAt(at);
      const [l, c] = rgb8ToOklch(r, g, b);
      return { at, lightness: l * 100, chroma: (c / CHROMA_TOP) * 100, c };
    });
  }, [resolved]);
  /** Where the stops are, as shares of the line. */
  const places = resolved.stops
    .map((stop) => percentOf(stop.places[0], LINE) / 100)
    .filter((at) => at >= 0 && at <= 1);
  return (
    <figure aria-label="Profile: lightness and chroma along the gradient" className="m-0">
      <div aria-hidden className="h-28">
        <ResponsiveContainer width="100%" height="100%">
          <LineChart
            data={data}
            margin={{ top: 6, right: 0, bottom: 0, left: -28 }}
            accessibilityLayer={false}
          >
            {/* The stops are lines of the grid: as things of their own the chart would keep account of each. */}
            <CartesianGrid
              stroke="var(--line-hair)"
              vertical={{ stroke: 'var(--line-control)', strokeDasharray: '2 3' }}
              verticalCoordinatesGenerator={({ offset }) =>
                places.map((at) => offset.left + at * offset.width)
              }
            />
            <XAxis
              dataKey="at"
              type="number"
              domain={[0, 100]}
              ticks={[0, 25, 50, 75, 100]}
              tick={{ fontSize: 12, fill: 'var(--text-quiet)' }}
              stroke="var(--line-control)"
              unit="%"
            />
            <YAxis
              domain={[0, 100]}
              ticks={[0, 50, 100]}
              tick={{ fontSize: 12, fill: 'var(--text-quiet)' }}
              stroke="var(--line-control)"
            />
            <Tooltip
              isAnimationActive={false}
              formatter={(value, name, item) =>
                name === 'chroma'
                  ? [item.payload.c.toFixed(3), 'chroma']
                  : [Number(value).toFixed(1), 'lightness']
              }
              labelFormatter={(at) => `${Number(at).toFixed(0)} %`}
              contentStyle={{
                background: 'var(--surface-raised)',
                border: '1px solid var(--line-control)',
                borderRadius: 6,
                padding: '4px 8px',
              }}
              itemStyle={{ color: 'var(--text-main)' }}
            />
            <Line
              dataKey="lightness"
              dot={false}
              stroke="var(--text-main)"
              strokeWidth={2}
              isAnimationActive={false}
            />
            <Line
              dataKey="chroma"
              dot={false}
              stroke="var(--text-main)"
              strokeWidth={2}
              strokeDasharray="5 4"
              isAnimationActive={false}
            />
          </LineChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="flex gap-4 text-sm text-quiet">
        <span>
          <span aria-hidden className="mr-1.5 inline-block w-5 border-t-2 border-main align-middle" />
          lightness, 0–100
        </span>
        <span>
          <span
            aria-hidden
            className="mr-1.5 inline-block w-5 border-t-2 border-dashed border-main align-middle"
          />
          chroma, top is 0.4
        </span>
      </figcaption>
    </figure>
  );
}
