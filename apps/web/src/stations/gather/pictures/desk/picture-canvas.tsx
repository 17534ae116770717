import { clamp } from '@mint-lamp/core/numbers/clamp';
import { useEffect, useRef } from 'react';
import { Latest } from '../../../../pixels/latest.ts';
import type { OpenedPicture } from '../../../../pixels/opened-picture.ts';
import type { Light } from '../../../../pixels/pixel-worker.ts';
import { type DeskView, type Size, toBox, toPicture } from './view.ts';

interface PictureCanvasProps {
  picture: OpenedPicture;
  /** Drawn anew with all pixels when they are there. */
  isWhole: boolean;
  view: DeskView;
  size: Size;
  light: Light | null;
  /** Changes when the palettes that lights belong to are other ones. */
  palettes: unknown;
  /** What is on the screen now: what lies over the picture goes along with it. */
  onDrawn: (view: DeskView, size: Size) => void;
}

interface Wanted {
  readonly view: DeskView;
  readonly size: Size;
  readonly light: Light | null;
}

/** The picture as a worker draws it; the page takes the finished image over and never has its pixels. */
export function PictureCanvas({
  picture,
  isWhole,
  view,
  size,
  light,
  palettes,
  onDrawn,
}: PictureCanvasProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const drawing = useRef<Latest<Wanted, ImageBitmap> | null>(null);
  const told = useRef(onDrawn);
  told.current = onDrawn;
  useEffect(() => {
    const element = canvas.current!;
    const context = element.getContext('bitmaprenderer')!;
    const latest = new Latest<Wanted, ImageBitmap>(
      ({ view: seen, size: box, light: lit }) => {
        const dense = devicePixelRatio || 1;
        const [x, y] = toPicture(seen, box, 0, 0);
        const [width, height] = [Math.round(box.width * dense), Math.round(box.height * dense)];
        return picture.render({ x, y, scale: seen.scale * dense, width, height }, lit);
      },
      (bitmap, wanted) => {
        element.width = bitmap.width;
        element.height = bitmap.height;
        context.transferFromImageBitmap(bitmap);
        element.dataset.lit = wanted.light ? `${wanted.light.leaning} ${wanted.light.index}` : '';
        element.dataset.shown = `${Math.round(wanted.view.scale * 100)} %`;
        told.current(wanted.view, wanted.size);
      },
    );
    drawing.current = latest;
    return () => latest.stop();
  }, [picture]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: drawn anew with other palettes, and when all pixels are there
  useEffect(() => {
    if (size.width && size.height) drawing.current?.want({ view, size, light });
  }, [picture, isWhole, view, size, light, palettes]);
  // What shows through lies just under what of the picture is seen.
  const edge = ([x, y]: [number, number]) => [clamp(x, 0, size.width), clamp(y, 0, size.height)] as const;
  const [left, top] = edge(toBox(view, size, 0, 0));
  const [right, bottom] = edge(toBox(view, size, picture.width, picture.height));
  return (
    <>
      <div
        aria-hidden
        className="checker absolute"
        style={{ left: left + 0.5, top: top + 0.5, width: right - left - 1, height: bottom - top - 1 }}
      />
      <canvas
        ref={canvas}
        aria-hidden
        data-specimen
        data-testid="picture"
        className="absolute inset-0"
        style={{ width: size.width, height: size.height }}
      />
    </>
  );
}
