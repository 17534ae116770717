import { rgb8ToOklch } from '@mint-lamp/core/color/gamut';
import type { Command } from '@mint-lamp/core/document/commands/command';
import { grownOf } from '@mint-lamp/core/edits/families/family-edits';
import { type DrawnStep, drawnFrom, LEAST_CHROMA, withStepMoved } from '@mint-lamp/core/family/drawn';
import { memo, useMemo, useRef } from 'react';
import { useStore } from 'react-redux';
import { CartesianGrid, Line, LineChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { useEditing } from '../../../store/editing.ts';
import { inTurns, READ } from '../../../store/in-turns.tsx';
import { selectSettledSystem } from '../../../store/selectors.ts';
import type { AppStore } from '../../../store/store.ts';
import { useDrag } from '../../../ui/use-drag.ts';
import { useSize } from '../../../ui/use-size.ts';
import type { CurveStep } from './curves-of.ts';
import { useSteps } from './use-steps.ts';

type Channel = 'lightness' | 'chroma' | 'turn';

interface Curve {
  readonly channel: Channel;
  readonly name: string;
  readonly unit: string;
  readonly decimals: number;
  /** What an arrow key moves; five times that with Shift. */
  readonly step: number;
  readonly domain: (values: readonly number[]) => readonly [number, number];
}

const roundedUp = (value: number, to: number) => Math.ceil(value / to) * to;

const CURVES: readonly Curve[] = [
  { channel: 'lightness', name: 'Lightness', unit: ' %', decimals: 1, step: 1, domain: () => [0, 100] },
  {
    channel: 'chroma',
    name: 'Chroma',
    unit: '',
    decimals: 3,
    step: 0.005,
    domain: (values) => [0, roundedUp(Math.max(0.08, ...values) * 1.15, 0.02)],
  },
  {
    channel: 'turn',
    name: 'Hue, from the base’s',
    unit: '°',
    decimals: 0,
    step: 1,
    domain: (values) => {
      const most = Math.min(180, roundedUp(Math.max(20, ...values.map(Math.abs)) * 1.15, 10));
      return [-most, most];
    },
  },
];

const HEIGHT = 118;
const MARGIN = { top: 8, right: 8, bottom: 0, left: 0 };
/** Of the axes, px: its height below, its width at the left. */
const AXIS = 22;
const SIDE = 40;
const PLOT = HEIGHT - MARGIN.top - MARGIN.bottom - AXIS;

interface CurveChartsProps {
  family: string;
  /** Whether a point is held. */
  held: boolean;
  before: readonly CurveStep[];
  /** Told when a point is taken hold of and when it is let go. */
  onHold: (held: boolean) => void;
}

/** The three curves side by side, dark at the left; each point but the base's can be moved. */
export default memo(function CurveCharts(props: CurveChartsProps) {
  return (
    <>
      <div className="grid grid-cols-3 narrow:grid-cols-1 gap-3">
        {CURVES.map((curve) => (
          <CurveChart key={curve.channel} {...props} curve={curve} />
        ))}
      </div>
      <Told {...props} />
    </>
  );
});

const isChanged = (now: readonly CurveStep[], before: readonly CurveStep[]) =>
  now !== before && JSON.stringify(now) !== JSON.stringify(before);

const Told = inTurns(function Told({ family, held, before }: CurveChartsProps) {
  const changed = isChanged(useSteps(family, held), before);
  return (
    <p className="text-sm text-quiet">
      Drag a point, or move it with the arrow keys; the square is the base.
      {changed && ' Dashed: as it was before.'}
    </p>
  );
}, READ);

interface CurveChartProps extends CurveChartsProps {
  curve: Curve;
}

/** The one that a point is dragged in is drawn with every move, and the others in their turns. */
const CurveChart = inTurns(
  function CurveChart({ family, held: isHeld, curve, before, onHold }: CurveChartProps) {
    const now = useSteps(family, isHeld);
    const changed = isChanged(now, before);
    const { channel, name } = curve;
    const held = useRef<readonly [number, number] | null>(null);
    const values = [...now, ...before].map((step) => step[channel]);
    // What is up and down stays so while a point is held.
    const domain = held.current ?? curve.domain(values);
    const data = useMemo(() => {
      const was = new Map(before.map((step) => [step.label, step[channel]]));
      return now
        .map((step, index): Placed & { readonly was: number | null } => ({
          ...step,
          index,
          value: step[channel],
          was: was.get(step.label) ?? null,
        }))
        .reverse();
    }, [now, before, channel]);
    const hold = (range: readonly [number, number] | null) => {
      held.current = range;
      onHold(range !== null);
    };
    const drag = useMovedPoints({ family, curve, domain, data, hold });
    const { element, width } = useSize<HTMLDivElement>();
    const labels = data.map(({ label }) => label).join('\n');
    const at = (index: number, value: number) => {
      const across = width - SIDE - MARGIN.right;
      const x = SIDE + (data.length > 1 ? (index / (data.length - 1)) * across : across / 2);
      return { x, y: MARGIN.top + PLOT * (1 - (value - domain[0]) / (domain[1] - domain[0])) };
    };
    const line = (of: (step: (typeof data)[number]) => number | null) =>
      data
        .flatMap((step, i) => {
          const value = of(step);
          if (value === null) return [];
          const { x, y } = at(i, value);
          return `${x.toFixed(2)},${y.toFixed(2)}`;
        })
        .join(' ');
    return (
      <figure aria-label={`${name} over the shades`} className="m-0 min-w-0">
        <figcaption className="text-sm text-quiet">{name}</figcaption>
        {/* biome-ignore lint/a11y/noStaticElementInteractions: the points in it are what is moved */}
        <div
          ref={element}
          style={{ height: HEIGHT }}
          className="relative touch-none"
          {...drag.pointer}
          onKeyDown={drag.onKeyDown}
          onBlur={drag.onBlur}
        >
          <Axes labels={labels} from={domain[0]} to={domain[1]} />
          {width > 0 && (
            <svg width={width} height={HEIGHT} className="absolute inset-0 overflow-visible">
              <title>{`${name} from shade to shade`}</title>
              {changed && (
                <polyline
                  points={line(({ was }) => was)}
                  fill="none"
                  stroke="var(--text-quiet)"
                  strokeDasharray="4 3"
                />
              )}
              <polyline
                points={line(({ value }) => value)}
                fill="none"
                stroke="var(--text-main)"
                strokeWidth={1.5}
              />
              {data.map((step, i) => (
                <Point key={step.label} {...at(i, step.value)} {...{ step, curve, domain }} />
              ))}
            </svg>
          )}
        </div>
      </figure>
    );
  },
  { box: 'min-w-0' },
);

/** What stands behind a curve and does not move with it; drawn anew only where it says something else. */
const Axes = memo(function Axes({ labels, from, to }: { labels: string; from: number; to: number }) {
  const data = useMemo(() => labels.split('\n').map((label) => ({ label, from })), [labels, from]);
  return (
    <ResponsiveContainer width="100%" height="100%">
      <LineChart data={data} margin={MARGIN} accessibilityLayer={false}>
        <CartesianGrid stroke="var(--line-hair)" vertical={false} />
        <XAxis
          dataKey="label"
          height={AXIS}
          interval="preserveStartEnd"
          tick={{ fontSize: 11, fill: 'var(--text-quiet)' }}
          stroke="var(--line-control)"
        />
        <YAxis
          width={SIDE}
          domain={[from, to]}
          ticks={[from, (from + to) / 2, to]}
          tickFormatter={(v: number) => String(Number(v.toFixed(2)))}
          tick={{ fontSize: 11, fill: 'var(--text-quiet)' }}
          stroke="var(--line-control)"
        />
        {/* Without a line to be drawn an axis has no scale. */}
        <Line dataKey="from" stroke="none" dot={false} activeDot={false} isAnimationActive={false} />
      </LineChart>
    </ResponsiveContainer>
  );
});

interface Placed extends CurveStep {
  /** Lightest first. */
  readonly index: number;
  readonly value: number;
}

interface MovedPoints {
  family: string;
  curve: Curve;
  domain: readonly [number, number];
  data: readonly Placed[];
  /** Keeps the domain while a point is held; null lets it go. */
  hold: (domain: readonly [number, number] | null) => void;
}

const rounded = (value: number, { decimals, unit }: Curve) => `${value.toFixed(decimals)}${unit}`;

/** A step put at a value. */
interface MovedStep {
  readonly step: Placed;
  readonly value: number;
}

/** Moves points of a curve: the growth becomes a drawn one, with that step elsewhere. */
function useMovedPoints({ family, curve, domain, data, hold }: MovedPoints) {
  const store = useStore() as AppStore;
  const { edit, preview } = useEditing();
  const stepOf = (target: Element) => {
    const label = target.closest('[data-step]')?.getAttribute('data-step');
    return data.find((step) => step.label === label);
  };
  /** From the growth as it is in the document. */
  const to = ({ step, value }: MovedStep): Command => {
    const resolved = selectSettledSystem(store.getState()).families.get(family)!;
    const { r, g, b } = resolved.base.color;
    const unit = Math.max(LEAST_CHROMA, rgb8ToOklch(r, g, b)[1]);
    const change: Partial<DrawnStep> =
      curve.channel === 'lightness'
        ? { lightness: value / 100 }
        : curve.channel === 'chroma'
          ? { chroma: value / unit }
          : { turn: value };
    const growth = withStepMoved(drawnFrom(grownOf(resolved)), step.index, change);
    return { type: 'setGrowth', family, growth };
  };
  return useDrag({
    grip(_, at, target) {
      const step = stepOf(target);
      if (!step) return null;
      hold(domain);
      return { step, y: at.y, perPx: (domain[1] - domain[0]) / PLOT };
    },
    at: ({ step, y, perPx }, pointed): MovedStep => ({ step, value: step.value + (y - pointed.y) * perPx }),
    step({ dx, dy, far, target }, last) {
      const step = stepOf(target);
      if (!step) return undefined;
      hold(domain);
      const from = last?.step.label === step.label ? last.value : step.value;
      return { step, value: from + (dx - dy) * curve.step * (far ? 5 : 1) };
    },
    same: (a, b) => a.value === b.value,
    show(moved) {
      preview(moved && to(moved));
      if (!moved) hold(null);
    },
    make(moved) {
      edit(to(moved));
      hold(null);
    },
    onPress: () => hold(null),
    says: ({ step, value }) => `${curve.name} of ${step.label}: ${rounded(value, curve)}`,
  });
}

interface PointProps {
  x: number;
  y: number;
  step: Placed;
  curve: Curve;
  domain: readonly [number, number];
}

function Point({ x, y, step, curve, domain }: PointProps) {
  if (step.isBase)
    return (
      <rect
        x={x - 5}
        y={y - 5}
        width={10}
        height={10}
        rx={2}
        fill={step.hex}
        stroke="var(--text-main)"
        strokeWidth={2}
      />
    );
  const text = rounded(step.value, curve);
  return (
    <g
      role="slider"
      tabIndex={0}
      data-step={step.label}
      aria-label={`${curve.name} of ${step.label}`}
      aria-orientation="vertical"
      aria-valuemin={domain[0]}
      aria-valuemax={domain[1]}
      aria-valuenow={Number(step.value.toFixed(curve.decimals))}
      aria-valuetext={text}
      className="cursor-ns-resize touch-none outline-none [&:focus-visible>rect:last-of-type]:stroke-[3px]"
    >
      <title>{`${step.label}: ${text}`}</title>
      {/* A wider place to take hold of. */}
      <rect x={x - 9} y={y - 12} width={18} height={24} fill="transparent" />
      <rect
        x={x - 3.5}
        y={y - 6}
        width={7}
        height={12}
        rx={2}
        fill={step.hex}
        stroke="var(--text-main)"
        strokeWidth={1}
      />
    </g>
  );
}
