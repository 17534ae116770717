import { lightnessOfLuminance } from '@mint-lamp/core/contrast/light-axis';
import { luminance } from '@mint-lamp/core/contrast/ratio';
import type { ResolvedShade } from '@mint-lamp/core/system/families/resolved-family';
import { createContext } from 'react';
import { selectSettledSystem, selectSystem } from '../../store/selectors.ts';
import { useAppSelector } from '../../store/store.ts';

/** Whether rails show where their shades stand now, while something else is tried on them. */
export const Beforehand = createContext(false);

/** Where the shades of a family stand before what is being tried: hollow, under those that are tried. */
export function WasHere({ family, shades }: { family: string; shades: readonly ResolvedShade[] }) {
  const before = useAppSelector((state) => {
    const settled = selectSettledSystem(state);
    return settled === selectSystem(state) ? undefined : settled.families.get(family);
  });
  if (!before || before.shades === shades) return null;
  return (
    <span aria-hidden data-testid="was-here">
      {before.shades.map((shade) => (
        <span
          key={shade.label}
          className="absolute top-[47px] -ml-1.25 h-[5px] w-2.5 rounded-[3px] border border-control"
          style={{
            left: `${lightnessOfLuminance(luminance(shade))}%`,
            background: shade.css,
          }}
        />
      ))}
    </span>
  );
}
