import { describeCode } from '@mint-lamp/core/color/describe';
import type { AreaSide, Picture } from '@mint-lamp/core/document/pictures/picture';
import clsx from 'clsx';
import { useState } from 'react';
import type { Light } from '../../../../pixels/pixel-worker.ts';
import { useEditing } from '../../../../store/editing.ts';
import { hexOf } from './palette-panel.tsx';
import { PlaceHandle } from './place-handle.tsx';
import type { DeskViewing } from './use-desk-view.ts';
import type { Palettes } from './use-palettes.ts';
import type { DeskView, Size } from './view.ts';

interface PaletteLayerProps {
  picture: Picture;
  palettes: Palettes;
  viewing: DeskViewing;
  drawn: { readonly view: DeskView; readonly size: Size };
  pinned: Light;
  /** The square that a colour is averaged over when it is taken from another place. */
  side: AreaSide;
  onPin: (light: Light) => void;
  onAim: (place: { x: number; y: number; side: AreaSide } | null) => void;
}

/** Where the colours of a palette lie in the picture; each can be taken to another place. */
export function PaletteLayer({
  picture,
  palettes,
  viewing,
  drawn,
  pinned,
  side,
  onPin,
  onAim,
}: PaletteLayerProps) {
  const { edit } = useEditing();
  const [dragged, setDragged] = useState<{ index: number; x: number; y: number } | null>(null);
  const { leaning } = pinned;
  const row = palettes.rows.find((one) => one.leaning === leaning);
  const move = (index: number, to: { x: number; y: number; side: AreaSide } | null) =>
    edit({ type: 'moveColor', picture: picture.id, leaning, size: palettes.size, index, to });
  return row?.colors.map((color, index) => {
    const at = dragged?.index === index ? dragged : color;
    return (
      <PlaceHandle
        // biome-ignore lint/suspicious/noArrayIndexKey: a colour of a palette is its place in the row
        key={index}
        {...drawn}
        x={at.x}
        y={at.y}
        picture={picture}
        under={viewing.under}
        label={`Place of ${describeCode(hexOf(color))}, at ${color.x}, ${color.y}${color.moved ? ', your own' : ''}`}
        selected={pinned.index === index}
        onSelect={() => onPin({ leaning, index })}
        onLeave={() => onAim(null)}
        onDrag={(to) => {
          setDragged(to && { index, ...to });
          onAim(to && { ...to, side });
        }}
        onMove={(to) => {
          setDragged(null);
          onAim({ ...to, side });
          move(index, { ...to, side });
          viewing.reveal(to.x, to.y);
        }}
        {...(color.moved ? { onRemove: () => move(index, null) } : {})}
        className="z-[1] -mt-2.5 -ml-2.5 grid size-5 place-items-center"
      >
        <span
          className={clsx(
            'rotate-45 border border-[#fff] outline outline-[#000]',
            pinned.index === index ? 'size-4.5' : 'size-3',
          )}
          style={{ background: hexOf(color) }}
        />
      </PlaceHandle>
    );
  });
}
