import { hexOfRgb8 } from '@mint-lamp/core/color/write';
import type { RibbonPlace } from '@mint-lamp/core/harmony/ribbon';
import type { Member } from '@mint-lamp/core/system/relatives';
import clsx from 'clsx';
import { memo, useRef } from 'react';
import { useSettled } from '../../../store/use-settled.ts';

interface PegActions {
  readonly onSelect: (member: number) => void;
  /** A peg is moved by so many degrees from where it was taken; not for good yet. Null calls it off. */
  readonly onDrag: (member: number, degrees: number | null) => void;
  readonly onMove: (member: number, degrees: number) => void;
}

interface HueRibbonProps extends PegActions {
  /** Of what, for the names of its pegs. */
  name: string;
  places: readonly RibbonPlace[];
  members: readonly Member[];
  selected: number | null;
}

/** All hues as one strip, as far as sRGB reaches, with a peg for each member of a relation. */
export function HueRibbon({ name, places, members, selected, ...actions }: HueRibbonProps) {
  const pegs = members.map(({ r, g, b, oklch }) => ({ hex: hexOfRgb8(r, g, b), hue: oklch[2] }));
  const labels = useSettled(
    pegs.map(
      ({ hex, hue }, i) =>
        `${i ? `Peg ${i + 1}` : 'Peg of the source'} of ${name}, ${hex}, hue ${Math.round(hue)}°`,
    ),
  );
  return (
    <div className="relative h-9">
      <Strip places={places} />
      {pegs.map(({ hex, hue }, i) => (
        <Peg
          // biome-ignore lint/suspicious/noArrayIndexKey: a member is its place in the relation
          key={i}
          member={i}
          hex={hex}
          hue={hue}
          label={labels[i] ?? name}
          selected={selected === i}
          {...actions}
        />
      ))}
    </div>
  );
}

interface PegProps extends PegActions {
  member: number;
  hex: string;
  /** Degrees. */
  hue: number;
  label: string;
  selected: boolean;
}

/** A member's place on the ribbon, moved by dragging and by arrow keys. */
const Peg = memo(function Peg({ member, hex, hue, label, selected, onSelect, onDrag, onMove }: PegProps) {
  const drag = useRef<{ x: number; degrees: number | null } | null>(null);
  const giveUp = () => {
    if (drag.current?.degrees != null) onDrag(member, null);
    drag.current = null;
  };
  return (
    <button
      type="button"
      aria-label={label}
      aria-pressed={selected}
      className="absolute top-0 z-[1] h-9 w-4 -translate-x-1/2 cursor-ew-resize touch-none"
      style={{ left: `${(hue / 360) * 100}%` }}
      onFocus={() => onSelect(member)}
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        event.currentTarget.focus();
        event.currentTarget.setPointerCapture(event.pointerId);
        drag.current = { x: event.clientX, degrees: null };
      }}
      onPointerMove={(event) => {
        if (!drag.current) return;
        const { offsetWidth } = event.currentTarget.parentElement!;
        drag.current.degrees = ((event.clientX - drag.current.x) / offsetWidth) * 360;
        onDrag(member, drag.current.degrees);
      }}
      onPointerUp={() => {
        const degrees = drag.current?.degrees;
        drag.current = null;
        if (degrees) onMove(member, degrees);
      }}
      onPointerCancel={giveUp}
      onKeyDown={(event) => {
        const by = event.shiftKey ? 10 : 1;
        if (event.key === 'Escape' && drag.current) giveUp();
        else if (event.key === 'ArrowLeft') onMove(member, -by);
        else if (event.key === 'ArrowRight') onMove(member, by);
        else return;
        event.preventDefault();
        event.stopPropagation();
      }}
    >
      <span className="absolute top-0 left-1/2 h-7 w-px -translate-x-1/2 bg-[#000] outline outline-[#fff]" />
      <span
        className={clsx(
          'absolute bottom-0 left-1/2 block -translate-x-1/2 border border-[#fff] outline outline-[#000]',
          member ? 'h-3 w-2.5' : 'h-3.5 w-4',
          selected && 'outline-2!',
        )}
        style={{ background: hex }}
      />
    </button>
  );
});

/** The strip itself, thinner where sRGB has less of the chroma. */
const Strip = memo(function Strip({ places }: { places: readonly RibbonPlace[] }) {
  const edge = places.map(({ hue, reach }) => `${(hue / 360) * 100}% ${(1 - reach) * 100}%`);
  return (
    <div aria-hidden className="absolute inset-x-0 top-0.5 h-6 overflow-hidden rounded-[4px] bg-sunken">
      <div
        className="size-full"
        style={{
          background: `linear-gradient(90deg, ${places.map(({ css }) => css).join(', ')})`,
          clipPath: `polygon(${edge.join(', ')}, 100% 100%, 0% 100%)`,
        }}
      />
    </div>
  );
});
