import { clamp } from '@mint-lamp/core/numbers/clamp';
import { useDrag } from '../../ui/use-drag.ts';

/** CSS px between which a scene can be laid out. */
const NARROWEST = 320;
const WIDEST = 1600;
const STEP = 10;
const LARGE_STEP = 80;

interface WidthHandleProps {
  width: number;
  scale: number;
  onShow: (width: number | null) => void;
  onMake: (width: number) => void;
}

/** The edge of a scene, by which it is made narrower and wider. */
export function WidthHandle({ width, scale, onShow, onMake }: WidthHandleProps) {
  const within = (px: number) => Math.round(clamp(px, NARROWEST, WIDEST));
  const { pointer, onKeyDown, onBlur } = useDrag<{ x: number; width: number }, number>({
    grip: (_, { x }) => ({ x, width }),
    at: (grip, { x }) => within(grip.width + (x - grip.x) / scale),
    step: ({ dx, far }, last) => (dx ? within((last ?? width) + dx * (far ? LARGE_STEP : STEP)) : undefined),
    show: onShow,
    make: onMake,
    says: (px) => `${px} px wide`,
  });
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label="Width of the page"
      aria-orientation="horizontal"
      aria-valuemin={NARROWEST}
      aria-valuemax={WIDEST}
      aria-valuenow={width}
      aria-valuetext={`${width} px`}
      title="Drag to lay the page out wider or narrower"
      {...pointer}
      onKeyDown={onKeyDown}
      onBlur={onBlur}
      className="mt-5.5 flex w-3 shrink-0 cursor-ew-resize touch-none items-center justify-center self-stretch rounded-md hover:bg-pressed"
    >
      <span className="h-10 w-1 rounded-full bg-control" />
    </div>
  );
}
