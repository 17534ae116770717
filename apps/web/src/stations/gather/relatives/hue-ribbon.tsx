import { describeCode } from '@mint-lamp/core/color/describe';
import { hexOfRgb8 } from '@mint-lamp/core/color/write';
import type { RibbonPlace } from '@mint-lamp/core/harmony/ribbon';
import type { Member } from '@mint-lamp/core/system/relatives';
import clsx from 'clsx';
import { memo } from 'react';
import { useSettled } from '../../../store/use-settled.ts';
import { useDrag } from '../../../ui/use-drag.ts';

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
        `${i ? `Peg ${i + 1}` : 'Peg of the source'} of ${name}, ${describeCode(hex)}, hue ${Math.round(hue)}°`,
    ),
  );
  return (
    // Pegs of one hue lie on each other: their samples select them, and tracks move them.
    <div className="relative h-9" data-set-elsewhere>
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
  const drag = useDrag({
    grip(element, at) {
      element.focus();
      return { x: at.x, width: element.parentElement!.offsetWidth };
    },
    at: ({ x, width }, to) => ((to.x - x) / width) * 360,
    step: ({ dx, far }, last) => (dx ? (last ?? 0) + dx * (far ? 10 : 1) : undefined),
    show: (degrees) => onDrag(member, degrees),
    make: (degrees) => onMove(member, degrees),
    says: (degrees) => `${label}, turned by ${Math.round(degrees)}°`,
  });
  return (
    <button
      type="button"
      aria-label={label}
      aria-pressed={selected}
      className="absolute top-0 z-[1] -ml-2 h-9 w-4 cursor-ew-resize touch-none"
      style={{ left: `${(hue / 360) * 100}%` }}
      onFocus={() => onSelect(member)}
      {...drag.pointer}
      onKeyDown={drag.onKeyDown}
      onBlur={drag.onBlur}
    >
      <span className="absolute top-0 left-1/2 -ml-[0.5px] h-7 w-px bg-[#000] outline outline-[#fff]" />
      <span
        className={clsx(
          'absolute bottom-0 left-1/2 block border border-[#fff] outline outline-[#000]',
          member ? '-ml-1.25 h-3 w-2.5' : '-ml-2 h-3.5 w-4',
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
