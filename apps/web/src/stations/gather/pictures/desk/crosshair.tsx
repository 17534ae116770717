import type { PixelPlace } from '@mint-lamp/core/document/pictures/picture';
import { AreaSquare } from './area-square.tsx';
import { type DeskView, type Size, toBox } from './view.ts';

/** Where it is aimed at: the square that would be averaged, at its true size, and lines that lead to it. */
export function Crosshair({ place, view, size }: { place: PixelPlace; view: DeskView; size: Size }) {
  const [x, y] = toBox(view, size, place.x + 0.5, place.y + 0.5);
  const gap = Math.max(5, (place.side * view.scale) / 2 + 3);
  const arm = 12;
  const lines = `M${x - gap - arm} ${y}h${arm}M${x + gap} ${y}h${arm}M${x} ${y - gap - arm}v${arm}M${x} ${y + gap}v${arm}`;
  return (
    <div aria-hidden className="pointer-events-none">
      <AreaSquare
        view={view}
        size={size}
        x={place.x}
        y={place.y}
        side={place.side}
        className="border border-[#fff] outline outline-[#000]"
      />
      <svg aria-hidden className="absolute inset-0 size-full">
        <path d={lines} stroke="#000" strokeWidth="3" />
        <path d={lines} stroke="#fff" strokeWidth="1" />
      </svg>
    </div>
  );
}
