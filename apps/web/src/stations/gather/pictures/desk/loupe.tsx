import type { Rgba } from '@mint-lamp/core/contrast/ratio';
import type { AreaSide, PixelPlace } from '@mint-lamp/core/document/pictures/picture';
import { nearTwin } from '@mint-lamp/core/judged/readout/near-twin';
import { clamp } from '@mint-lamp/core/numbers/clamp';
import { sampledText } from '@mint-lamp/core/picture/sample';
import { useEffect, useRef } from 'react';
import { useSystem } from '../../../../store/selectors.ts';
import type { Size } from './view.ts';

/** What was found where it was aimed at. */
export interface Aim {
  readonly place: PixelPlace;
  readonly color: Rgba;
  readonly bitmap: ImageBitmap;
}

/** CSS px of the magnified neighbourhood. */
export const LOUPE = 132;
const REACH: Readonly<Record<AreaSide, number>> = { 1: 7, 3: 7, 5: 7, 11: 11, 31: 25, 51: 38, 101: 70 };
/** px of the picture to each side of the one in the middle of the magnified neighbourhood. */
export const reachOf = (side: AreaSide): number => REACH[side];

const AWAY = 22;
const HEIGHT = 218;
const WIDTH = LOUPE + 2;

interface LoupeProps {
  aim: Aim;
  /** Where it is aimed at, and the room that there is, in CSS px. */
  x: number;
  y: number;
  room: Size;
  /** The colour that was taken last. */
  taken: string | null;
}

/** The magnified neighbourhood of where it is aimed at, with the colour that would be taken beside the last one. */
export function Loupe({ aim, x, y, room, taken }: LoupeProps) {
  const system = useSystem();
  const canvas = useRef<HTMLCanvasElement>(null);
  const { place, color, bitmap } = aim;
  useEffect(() => {
    const element = canvas.current!;
    element.width = bitmap.width;
    element.height = bitmap.height;
    // A bitmap that was handed over once is empty, as where it is drawn a second time.
    if (bitmap.width) element.getContext('bitmaprenderer')!.transferFromImageBitmap(bitmap);
  }, [bitmap]);
  const hex = sampledText(color);
  const twin = color.alpha === 1 ? nearTwin(system, color.r, color.g, color.b) : null;
  const square = (place.side / (reachOf(place.side) * 2 + 1)) * LOUPE;
  const left = x + AWAY + WIDTH > room.width ? x - AWAY - WIDTH : x + AWAY;
  const top = clamp(room.height - HEIGHT, 4, Math.max(4, y - HEIGHT / 2));
  return (
    <div
      aria-hidden
      data-testid="loupe"
      className="pointer-events-none absolute z-10 overflow-hidden rounded-md border border-control bg-raised shadow-[0_4px_16px_var(--veil-modal)]"
      style={{ left: Math.max(2, left), top, width: WIDTH }}
    >
      <div className="checker relative" style={{ width: LOUPE, height: LOUPE }}>
        <canvas ref={canvas} data-specimen className="absolute inset-0 size-full" />
        <span
          className="absolute border border-[#fff] outline outline-[#000]"
          style={{
            width: square,
            height: square,
            left: (LOUPE - square) / 2,
            top: (LOUPE - square) / 2,
          }}
        />
      </div>
      <div className="checker flex h-9">
        <span className="flex-1" style={{ background: hex }} />
        {taken && <span className="w-1/3" style={{ background: taken }} />}
      </div>
      <div className="px-1.5 py-1 text-sm leading-tight">
        <span className="flex justify-between">
          <b className="font-mono font-normal" data-testid="aimed-at">
            {hex}
          </b>
          {taken && <span className="text-quiet">last</span>}
        </span>
        <span className="block truncate text-quiet">{twin ? `nearly ${twin.name}` : 'new here'}</span>
      </div>
    </div>
  );
}
