import { describeCode } from '@mint-lamp/core/color/describe';
import type { Marker, Picture } from '@mint-lamp/core/document/pictures/picture';
import clsx from 'clsx';
import { useEditing } from '../../../../store/editing.ts';
import { AreaSquare } from './area-square.tsx';
import { PlaceHandle } from './place-handle.tsx';
import { sideByKey } from './sides.ts';
import type { DeskViewing } from './use-desk-view.ts';
import type { DeskView, Size } from './view.ts';

interface MarkerLayerProps {
  /** As it is shown, a drag included. */
  picture: Picture;
  viewing: DeskViewing;
  drawn: { readonly view: DeskView; readonly size: Size };
  /** Colour of each marker by its id, as far as they are known. */
  colors: ReadonlyMap<string, string>;
  selected: string | null;
  onSelect: (marker: string) => void;
  /** Aims at a marker while it is moved. */
  onAim: (marker: Pick<Marker, 'x' | 'y' | 'side'> | null) => void;
}

/** The markers on the picture: each its square at true size, with its number on a flag. */
export function MarkerLayer({
  picture,
  viewing,
  drawn,
  colors,
  selected,
  onSelect,
  onAim,
}: MarkerLayerProps) {
  const { edit, preview } = useEditing();
  return picture.markers.map((marker, i) => {
    const { id, x, y, side } = marker;
    const set = (change: Partial<Marker>) =>
      ({ type: 'setMarker', picture: picture.id, marker: id, change }) as const;
    const color = colors.get(id);
    return (
      <div key={id}>
        <AreaSquare
          {...drawn}
          x={x}
          y={y}
          side={side}
          className="pointer-events-none border border-[#fff] outline outline-[#000]"
        />
        <PlaceHandle
          {...drawn}
          x={x}
          y={y}
          picture={picture}
          under={viewing.under}
          label={`Marker ${i + 1}${color ? `, ${describeCode(color)}` : ''}, at ${x}, ${y}, ${side} px`}
          selected={selected === id}
          onSelect={() => onSelect(id)}
          onLeave={() => onAim(null)}
          onDrag={(to) => {
            preview(to ? set(to) : null);
            onAim(to ? { ...to, side } : null);
          }}
          onMove={(to) => {
            onAim({ ...to, side });
            edit(set(to));
            viewing.reveal(to.x, to.y);
          }}
          onRemove={() => edit({ type: 'removeMarker', picture: picture.id, marker: id })}
          onOtherKey={(key) => {
            const next = sideByKey(side, key);
            if (next === null) return false;
            if (next !== side) edit(set({ side: next }));
            return true;
          }}
          className="z-[2] -mt-6 h-6 w-8"
        >
          {/* The staff stands on the place, the flag flies beside it. */}
          <span className="absolute bottom-0 left-0 h-6 w-px bg-[#000] outline outline-[#fff]" />
          <span
            className={clsx(
              'absolute bottom-2.5 left-0 flex h-5 min-w-6 items-center gap-1 rounded-r-[4px] border border-control px-1 text-sm font-semibold',
              selected === id ? 'bg-main text-inverse' : 'bg-raised text-main',
            )}
          >
            {i + 1}
            {color && (
              <span className="size-3 rounded-[3px] border border-hair" style={{ background: color }} />
            )}
          </span>
        </PlaceHandle>
      </div>
    );
  });
}
