import { gamutOutline } from '@mint-lamp/core/color/gamut';
import { paintPlane } from '@mint-lamp/core/color/plane';
import { clamp, clamp01 } from '@mint-lamp/core/numbers/clamp';
import { useLayoutEffect, useMemo, useRef } from 'react';
import { useDrag } from '../ui/use-drag.ts';

/** OKLCH chroma at the right edge: a little beyond what Display P3 has anywhere. */
const MOST_CHROMA = 0.38;
const WIDTH = 276;
const HEIGHT = 104;
const ROWS = 64;

/** The outline of a gamut as points of a polyline, black at the bottom. */
const outline = (hue: number, gamut: 'srgb' | 'display-p3') =>
  Array.from(gamutOutline(hue, ROWS, gamut), (chroma, i) => {
    const x = (chroma / MOST_CHROMA) * WIDTH;
    const y = (1 - i / (ROWS - 1)) * HEIGHT;
    return `${x.toFixed(1)},${y.toFixed(1)}`;
  }).join(' ');

/** OKLCH lightness in percent, and chroma. */
export interface PlanePlace {
  readonly lightness: number;
  readonly chroma: number;
}

interface PlaneProps {
  /** OKLCH lightness in percent, chroma, hue in degrees. */
  lightness: number;
  chroma: number;
  hue: number;
  css: string;
  /** Shows a lightness and a chroma that are not made yet; null: as it was. */
  onShow: (to: PlanePlace | null) => void;
  onMove: (to: PlanePlace) => void;
}

/**
 * All lightnesses and chromas of one hue, with the edges of sRGB and of Display P3; the colour is a place on it, which
 * is dragged or moved with the arrow keys.
 */
export default function Plane({ lightness, chroma, hue: exact, css, onShow, onMove }: PlaneProps) {
  // A base that is dragged wavers by tenths of a degree, which nobody sees: the plane stays as it is.
  const hue = Math.round(exact * 2) / 2;
  const canvas = useRef<HTMLCanvasElement>(null);
  const image = useRef<ImageData | null>(null);
  useLayoutEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context) return;
    image.current ??= context.createImageData(WIDTH, HEIGHT);
    paintPlane(image.current.data, WIDTH, HEIGHT, hue, MOST_CHROMA);
    context.putImageData(image.current, 0, 0);
  }, [hue]);
  const srgb = useMemo(() => outline(hue, 'srgb'), [hue]);
  const p3 = useMemo(() => outline(hue, 'display-p3'), [hue]);
  const drag = useDrag({
    grip: (element) => element.getBoundingClientRect(),
    at: (box, { x, y }): PlanePlace => ({
      lightness: 100 * (1 - clamp01((y - box.top) / box.height)),
      chroma: MOST_CHROMA * clamp01((x - box.left) / box.width),
    }),
    atOnce: true,
    step: ({ dx, dy, far }, last): PlanePlace => {
      const from = last ?? { lightness, chroma };
      const by = far ? 5 : 1;
      return {
        lightness: clamp(from.lightness - dy * by, 0, 100),
        chroma: clamp(from.chroma + dx * 0.005 * by, 0, MOST_CHROMA),
      };
    },
    same: (a, b) => a.lightness === b.lightness && a.chroma === b.chroma,
    show: onShow,
    make: onMove,
    says: (to) => `lightness ${to.lightness.toFixed(1)} %, chroma ${to.chroma.toFixed(3)}`,
  });
  return (
    <figure className="m-0">
      <div
        role="slider"
        tabIndex={0}
        aria-label="Lightness and chroma"
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={Math.round(lightness)}
        aria-valuetext={`lightness ${lightness.toFixed(1)} %, chroma ${chroma.toFixed(3)}`}
        {...drag.pointer}
        onKeyDown={drag.onKeyDown}
        onBlur={drag.onBlur}
        className="relative cursor-crosshair touch-none overflow-hidden rounded-[4px] border border-hair bg-sunken"
        style={{ height: HEIGHT }}
      >
        <canvas ref={canvas} width={WIDTH} height={HEIGHT} className="absolute inset-0 size-full" />
        <svg
          aria-hidden
          viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
          preserveAspectRatio="none"
          className="absolute inset-0 size-full"
          fill="none"
          vectorEffect="non-scaling-stroke"
        >
          <polyline points={srgb} stroke="var(--text-main)" strokeWidth="1" />
          <polyline points={p3} stroke="var(--text-main)" strokeWidth="1" strokeDasharray="3 3" />
        </svg>
        <span
          aria-hidden
          className="absolute -mt-1.75 -ml-1.75 size-3.5 rounded-[4px] border-2 border-main outline-1 outline-raised"
          style={{
            left: `${(Math.min(MOST_CHROMA, chroma) / MOST_CHROMA) * 100}%`,
            top: `${100 - lightness}%`,
            background: css,
          }}
        />
      </div>
      <figcaption className="flex justify-between text-sm text-quiet">
        <span>Lightness up, chroma to the right</span>
        <span>
          sRGB, <span className="underline decoration-dashed underline-offset-2">Display P3</span>
        </span>
      </figcaption>
    </figure>
  );
}
