import { gamutOutline } from '@mint-lamp/core/color/gamut';
import { paintPlane } from '@mint-lamp/core/color/plane';
import { clamp, clamp01 } from '@mint-lamp/core/numbers/clamp';
import { type KeyboardEvent, type PointerEvent, useLayoutEffect, useMemo, useRef } from 'react';

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

interface PlaneProps {
  /** OKLCH lightness in percent, chroma, hue in degrees. */
  lightness: number;
  chroma: number;
  hue: number;
  css: string;
  onMove: (lightness: number, chroma: number, final: boolean) => void;
}

/**
 * All lightnesses and chromas of one hue, with the edges of sRGB and of Display P3; the colour is a place on it, which
 * is dragged or moved with the arrow keys.
 */
export default function Plane({ lightness, chroma, hue: exact, css, onMove }: PlaneProps) {
  // A base that is dragged wavers by tenths of a degree, which nobody sees: the plane stays as it is.
  const hue = Math.round(exact * 2) / 2;
  const canvas = useRef<HTMLCanvasElement>(null);
  const image = useRef<ImageData | null>(null);
  const held = useRef(false);
  useLayoutEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context) return;
    image.current ??= context.createImageData(WIDTH, HEIGHT);
    paintPlane(image.current.data, WIDTH, HEIGHT, hue, MOST_CHROMA);
    context.putImageData(image.current, 0, 0);
  }, [hue]);
  const srgb = useMemo(() => outline(hue, 'srgb'), [hue]);
  const p3 = useMemo(() => outline(hue, 'display-p3'), [hue]);
  const place = (event: PointerEvent<HTMLElement>): [number, number] => {
    const box = event.currentTarget.getBoundingClientRect();
    return [
      100 * (1 - clamp01((event.clientY - box.top) / box.height)),
      MOST_CHROMA * clamp01((event.clientX - box.left) / box.width),
    ];
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const by = event.shiftKey ? 5 : 1;
    const move = { ArrowUp: [1, 0], ArrowDown: [-1, 0], ArrowRight: [0, 0.005], ArrowLeft: [0, -0.005] }[
      event.key
    ];
    if (!move) return;
    event.preventDefault();
    onMove(clamp(lightness + move[0]! * by, 0, 100), clamp(chroma + move[1]! * by, 0, MOST_CHROMA), true);
  };
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
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          held.current = true;
          onMove(...place(event), false);
        }}
        onPointerMove={(event) => held.current && onMove(...place(event), false)}
        onPointerUp={(event) => {
          if (held.current) onMove(...place(event), true);
          held.current = false;
        }}
        onKeyDown={onKeyDown}
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
          className="absolute size-3.5 -translate-1/2 rounded-[4px] border-2 border-main outline-1 outline-raised"
          style={{
            left: `${(Math.min(MOST_CHROMA, chroma) / MOST_CHROMA) * 100}%`,
            top: `${100 - lightness}%`,
            background: css,
          }}
        />
      </div>
      <figcaption className="flex justify-between text-xs text-quiet">
        <span>Lightness up, chroma to the right</span>
        <span>
          sRGB, <span className="underline decoration-dashed underline-offset-2">Display P3</span>
        </span>
      </figcaption>
    </figure>
  );
}
