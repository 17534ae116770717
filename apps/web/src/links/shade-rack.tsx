import { lightnessOfLuminance } from '@mint-lamp/core/contrast/light-axis';
import { luminance } from '@mint-lamp/core/contrast/ratio';
import type { Link } from '@mint-lamp/core/document/links/link';
import type { ResolvedFamily } from '@mint-lamp/core/system/families/resolved-family';
import type { Painted } from '@mint-lamp/core/system/painted';
import clsx from 'clsx';
import { memo } from 'react';
import { useLinkDrag } from '../dragging/color-dragging.tsx';
import { useSystem } from '../store/selectors.ts';

interface ShadeRackProps {
  /** Gives a shade or base to what is picked; it can also be dragged there. */
  onPick: (link: Link, name: string) => void;
}

/** All families as small rails on one light axis, dark at the left, from which shades and bases are taken as links. */
export function ShadeRack({ onPick }: ShadeRackProps) {
  const { families } = useSystem();
  return (
    <ul aria-label="Rails at hand" className="max-h-44 overflow-y-auto">
      {[...families.values()].map((resolved) => (
        <SmallRail key={resolved.family.id} resolved={resolved} onPick={onPick} />
      ))}
    </ul>
  );
}

const SmallRail = memo(function SmallRail({
  resolved: { family, shades, base },
  onPick,
}: ShadeRackProps & { resolved: ResolvedFamily }) {
  return (
    <li className="grid h-7 grid-cols-[96px_1fr] items-center gap-3">
      <span className="truncate text-sm">{family.name}</span>
      <span className="relative h-7">
        <span aria-hidden className="absolute inset-x-0 top-1/2 h-px bg-hair" />
        {shades.map((shade) => (
          <Pick
            key={shade.label}
            color={shade}
            name={`${family.name} ${shade.label}`}
            link={{ to: 'shade', family: family.id, shade: shade.label }}
            onPick={onPick}
          />
        ))}
        <Pick
          isBase
          color={base.color}
          name={`${family.name} base`}
          link={{ to: 'base', family: family.id }}
          onPick={onPick}
        />
      </span>
    </li>
  );
});

interface PickProps extends ShadeRackProps {
  color: Painted;
  name: string;
  link: Link;
  isBase?: boolean;
}

function Pick({ color, name, link, isBase = false, onPick }: PickProps) {
  const { isDragging, ...drag } = useLinkDrag(`rack ${name}`, { color: color.css, name, link });
  return (
    <button
      {...drag}
      type="button"
      data-specimen
      aria-label={name}
      title={`${name}, ${color.css}${isBase ? ': the base itself, wherever it stands' : ''}`}
      onClick={() => onPick(link, name)}
      className={clsx(
        'absolute top-1/2 -translate-1/2 cursor-grab touch-none border border-control',
        // The base stands above the shade that it is.
        isBase ? 'z-10 h-6.5 w-3 rounded-[4px] border-2 border-main' : 'h-5 w-4 rounded-[4px]',
        isDragging && 'opacity-40',
      )}
      style={{ left: `${2 + lightnessOfLuminance(luminance(color)) * 0.96}%`, background: color.css }}
    />
  );
}
