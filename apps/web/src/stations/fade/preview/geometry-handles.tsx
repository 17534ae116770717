import {
  type ConicShape,
  type Gradient,
  type GradientShape,
  type LinearShape,
  type RadialShape,
  shapeOf,
} from '@mint-lamp/core/document/gradients/gradient';
import { sameJson } from '@mint-lamp/core/document/same';
import { angleOf, centerIn, radiiIn } from '@mint-lamp/core/gradient/geometry';
import { gradientLine, type Point } from '@mint-lamp/core/gradient/line';
import type { StopPlace } from '@mint-lamp/core/gradient/model';
import { clamp } from '@mint-lamp/core/numbers/clamp';
import { useEditing } from '../../../store/editing.ts';
import { useDrag } from '../../../ui/use-drag.ts';
import type { BoxSize } from './purposes.ts';

/** Degrees that an angle goes to by itself, and within which it does. */
const EVERY = 15;
const REACH = 3;
/** Farthest that a centre may lie from the box, in percent. */
const FARTHEST = 1000;

const turned = (degrees: number) => Math.round((((degrees % 360) + 360) % 360) * 10) / 10;
/** An angle in degrees; near a multiple of fifteen it is that, unless it is held off. */
function snappedAngle(degrees: number, isFree: boolean): number {
  const near = Math.round(degrees / EVERY) * EVERY;
  return turned(!isFree && Math.abs(degrees - near) <= REACH ? near : degrees);
}
const inPercent = (px: number, of: number): StopPlace => ({
  value: clamp(Math.round((of > 0 ? (px / of) * 100 : 0) * 10) / 10, -FARTHEST, FARTHEST),
  unit: '%',
});

interface GeometryHandlesProps {
  gradient: Gradient;
  size: BoxSize;
}

/** The geometry of a gradient on its preview: ends of the line, centre and size of the ellipse, turn of the cone. */
export function GeometryHandles({ gradient, size }: GeometryHandlesProps) {
  const { edit, preview } = useEditing();
  if (!(size.width > 0 && size.height > 0)) return null;
  const shape = shapeOf(gradient);
  const command = (next: GradientShape) =>
    ({ type: 'shapeGradient', gradient: gradient.id, shape: next }) as const;
  const tools = {
    look: (next: GradientShape) => preview(command(next)),
    set: (next: GradientShape) => edit(command(next)),
    giveUp: () => preview(null),
  };
  if (shape.kind === 'linear') return <LineHandles shape={shape} size={size} {...tools} />;
  return <RoundHandles shape={shape} size={size} {...tools} />;
}

interface Tools {
  readonly look: (next: GradientShape) => void;
  readonly set: (next: GradientShape) => void;
  readonly giveUp: () => void;
}

function LineHandles({ shape, size, ...tools }: Tools & { shape: LinearShape; size: BoxSize }) {
  const degrees = angleOf(shape.direction, size);
  const { start, end } = gradientLine(degrees, size.width, size.height);
  const middle = { x: size.width / 2, y: size.height / 2 };
  const linear = (angle: number): GradientShape => ({
    kind: 'linear',
    direction: { by: 'angle', degrees: angle },
  });
  const towards = ({ x, y }: Point) => (Math.atan2(x - middle.x, middle.y - y) * 180) / Math.PI;
  return (
    <>
      <Lines points={[start, end]} />
      <Handle
        label={`Start of the line, ${turned(degrees)} degrees`}
        at={onLine(middle, start, size)}
        to={(point, free) => linear(snappedAngle(towards(point) + 180, free))}
        step={(dx, dy) => linear(turned(degrees + dx - dy))}
        {...tools}
      />
      <Handle
        label={`End of the line, ${turned(degrees)} degrees`}
        at={onLine(middle, end, size)}
        to={(point, free) => linear(snappedAngle(towards(point), free))}
        step={(dx, dy) => linear(turned(degrees + dx - dy))}
        isEnd
        {...tools}
      />
    </>
  );
}

type RoundShape = RadialShape | ConicShape;

function RoundHandles({ shape, size, ...tools }: Tools & { shape: RoundShape; size: BoxSize }) {
  const center = centerIn(shape.center, size);
  const placed = ({ x, y }: Point): RoundShape => ({
    ...shape,
    center: [inPercent(x, size.width), inPercent(y, size.height)],
  });
  const moved = (dx: number, dy: number) =>
    placed({ x: center.x + (dx * size.width) / 100, y: center.y + (dy * size.height) / 100 });
  const said = shape.center.map(({ value, unit }) => `${value} ${unit}`).join(', ');
  return (
    <>
      {shape.kind === 'conic' ? (
        <TurnHandle shape={shape} center={center} size={size} {...tools} />
      ) : (
        <RadiusHandles shape={shape} center={center} size={size} {...tools} />
      )}
      <Handle
        label={`Centre, ${said}`}
        at={center}
        to={(point, free) => placed(free ? point : nearMiddle(point, size))}
        step={moved}
        isCenter
        {...tools}
      />
    </>
  );
}

/** Px within which a centre goes to the middle or an edge by itself. */
const NEAR = 6;
const nearMiddle = ({ x, y }: Point, { width, height }: BoxSize): Point => {
  const snap = (v: number, most: number) => [0, most / 2, most].find((at) => Math.abs(at - v) <= NEAR) ?? v;
  return { x: snap(x, width), y: snap(y, height) };
};

function TurnHandle({
  shape,
  center,
  size,
  ...tools
}: Tools & { shape: ConicShape; center: Point; size: BoxSize }) {
  const reach = Math.max(28, Math.min(size.width, size.height) * 0.36);
  const radians = (shape.from * Math.PI) / 180;
  const at = { x: center.x + reach * Math.sin(radians), y: center.y - reach * Math.cos(radians) };
  const from = (degrees: number): GradientShape => ({ ...shape, from: degrees });
  return (
    <>
      <Lines points={[center, at]} />
      <Handle
        label={`Turn, ${shape.from} degrees`}
        at={at}
        to={({ x, y }, free) =>
          from(snappedAngle((Math.atan2(x - center.x, center.y - y) * 180) / Math.PI, free))
        }
        step={(dx, dy) => from(turned(shape.from + dx - dy))}
        isEnd
        {...tools}
      />
    </>
  );
}

function RadiusHandles({
  shape,
  center,
  size,
  ...tools
}: Tools & { shape: RadialShape; center: Point; size: BoxSize }) {
  const [rx, ry] = radiiIn(shape, size);
  const isCircle = shape.shape === 'circle';
  const px = (v: number): StopPlace => ({ value: Math.max(0, Math.round(v)), unit: 'px' });
  const sized = (x: number, y: number): GradientShape => ({
    ...shape,
    size: isCircle
      ? [px(x)]
      : [inPercent(Math.max(0, x), size.width), inPercent(Math.max(0, y), size.height)],
  });
  return (
    <>
      <svg aria-hidden className="pointer-events-none absolute inset-0 size-full overflow-hidden">
        <ellipse
          cx={center.x}
          cy={center.y}
          rx={rx}
          ry={ry}
          fill="none"
          stroke="#ffffff"
          strokeOpacity={0.8}
          strokeWidth={3}
        />
        <ellipse cx={center.x} cy={center.y} rx={rx} ry={ry} fill="none" stroke="#000000" />
      </svg>
      <Handle
        label={`${isCircle ? 'Radius' : 'Half width'}, ${Math.round(rx)} px`}
        at={within({ x: center.x + rx, y: center.y }, size)}
        to={({ x }) => sized(Math.abs(x - center.x), isCircle ? Math.abs(x - center.x) : ry)}
        step={(dx) => sized(rx + dx * 2, isCircle ? rx + dx * 2 : ry)}
        isEnd
        {...tools}
      />
      {!isCircle && (
        <Handle
          label={`Half height, ${Math.round(ry)} px`}
          at={within({ x: center.x, y: center.y + ry }, size)}
          to={({ y }) => sized(rx, Math.abs(y - center.y))}
          step={(_, dy) => sized(rx, ry + dy * 2)}
          isEnd
          {...tools}
        />
      )}
    </>
  );
}

/** Handles stay this far inside the preview, px, so that they can be taken hold of. */
const INSET = 10;
const within = ({ x, y }: Point, { width, height }: BoxSize): Point => ({
  x: clamp(x, INSET, width - INSET),
  y: clamp(y, INSET, height - INSET),
});

/** As far on the way from the middle to an end as the preview reaches. */
function onLine(middle: Point, end: Point, { width, height }: BoxSize): Point {
  const [dx, dy] = [end.x - middle.x, end.y - middle.y];
  const reach = (room: number, far: number) => (far ? Math.max(0, room - INSET) / Math.abs(far) : 1);
  const share = Math.min(1, reach(width / 2, dx), reach(height / 2, dy));
  return { x: middle.x + dx * share, y: middle.y + dy * share };
}

const Lines = ({ points }: { points: readonly [Point, Point] }) => (
  <svg aria-hidden className="pointer-events-none absolute inset-0 size-full overflow-hidden">
    {[
      { stroke: '#ffffff', strokeWidth: 3, strokeOpacity: 0.8 },
      { stroke: '#000000', strokeWidth: 1 },
    ].map((line) => (
      <line key={line.stroke} x1={points[0].x} y1={points[0].y} x2={points[1].x} y2={points[1].y} {...line} />
    ))}
  </svg>
);

interface HandleProps extends Tools {
  label: string;
  at: Point;
  /** What the gradient is when the handle is at a point; `free` where snapping is held off. */
  to: (point: Point, free: boolean) => GradientShape;
  /** What it is after arrow keys, in steps to the right and down. */
  step: (dx: number, dy: number) => GradientShape;
  isEnd?: boolean;
  isCenter?: boolean;
}

/** A handle that is dragged, or moved by arrow keys (Shift: five steps); Alt holds snapping off. */
function Handle({ label, at, to, step, look, set, giveUp, isEnd = false, isCenter = false }: HandleProps) {
  const drag = useDrag({
    grip: (element) => element.parentElement!.getBoundingClientRect(),
    at: (box, pointed) => to({ x: pointed.x - box.left, y: pointed.y - box.top }, pointed.free),
    step({ dx, dy, far }) {
      const by = far ? 5 : 1;
      return step(dx * by, dy * by);
    },
    same: sameJson,
    show: (shape) => (shape ? look(shape) : giveUp()),
    make: set,
    says: () => `${label} is moved`,
  });
  return (
    <button
      type="button"
      aria-label={label}
      title={`${label}. Drag it (Alt: without snapping) or use the arrow keys.`}
      {...drag.pointer}
      onKeyDown={drag.onKeyDown}
      onBlur={drag.onBlur}
      className={
        isCenter
          ? 'absolute -mt-2.5 -ml-2.5 size-5 cursor-move touch-none rounded-full border-[5px] border-[#ffffff] bg-[#000000] outline-1 outline-[#000000]'
          : 'absolute -mt-2 -ml-2 size-4 cursor-grab touch-none border-2 border-[#000000] bg-[#ffffff] outline-1 outline-[#ffffff]'
      }
      style={{ left: at.x, top: at.y, borderRadius: isCenter ? undefined : isEnd ? 3 : 999 }}
    />
  );
}
