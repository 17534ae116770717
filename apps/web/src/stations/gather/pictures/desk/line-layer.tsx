import type { Picture } from '@mint-lamp/core/document/pictures/picture';
import type { PictureLine } from '@mint-lamp/core/picture/row';
import { PlaceHandle } from './place-handle.tsx';
import type { DeskViewing } from './use-desk-view.ts';
import { type DeskView, type Size, toBox } from './view.ts';

interface LineLayerProps {
  picture: Picture;
  line: PictureLine;
  viewing: DeskViewing;
  drawn: { readonly view: DeskView; readonly size: Size };
  onLine: (line: PictureLine) => void;
  onRemove: () => void;
}

/** A line across the picture, whose ends are dragged or moved by keys: what it crosses becomes a gradient. */
export function LineLayer({ picture, line, viewing, drawn, onLine, onRemove }: LineLayerProps) {
  const { view, size } = drawn;
  const [x1, y1] = toBox(view, size, line.x1 + 0.5, line.y1 + 0.5);
  const [x2, y2] = toBox(view, size, line.x2 + 0.5, line.y2 + 0.5);
  const ends = [
    { key: 'begins', x: line.x1, y: line.y1, to: (x: number, y: number) => ({ ...line, x1: x, y1: y }) },
    { key: 'ends', x: line.x2, y: line.y2, to: (x: number, y: number) => ({ ...line, x2: x, y2: y }) },
  ] as const;
  return (
    <>
      <svg aria-hidden className="pointer-events-none absolute inset-0 size-full">
        <path d={`M${x1} ${y1}L${x2} ${y2}`} stroke="#000" strokeWidth="4" />
        <path d={`M${x1} ${y1}L${x2} ${y2}`} stroke="#fff" strokeWidth="2" />
      </svg>
      {ends.map(({ key, x, y, to }) => (
        <PlaceHandle
          key={key}
          {...{ view, size, picture, x, y }}
          label={`Where the line ${key}: ${x}, ${y}`}
          under={viewing.under}
          onDrag={(spot, began) => onLine(to((spot ?? began).x, (spot ?? began).y))}
          onMove={(spot) => onLine(to(spot.x, spot.y))}
          onSelect={() => {}}
          onRemove={onRemove}
        >
          <span
            className={`block size-4 -translate-1/2 border-2 border-[#000] bg-[#fff] outline-2 outline-[#fff] ${key === 'begins' ? 'rounded-full' : 'rounded-[2px]'}`}
          />
        </PlaceHandle>
      ))}
    </>
  );
}
