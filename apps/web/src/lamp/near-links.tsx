import { nearShades } from '@mint-lamp/core/system/near-shades';
import { useMemo } from 'react';
import type { LitColor } from '../kinds/lit-color.ts';
import { useEditing } from '../store/editing.ts';
import { useSettledSystem } from '../store/selectors.ts';
import { useSettled } from '../store/use-settled.ts';
import { Button } from '../ui/button.tsx';
import { ColorChip } from '../ui/color-chip.tsx';

interface NearLinksProps {
  color: string;
  relink: NonNullable<LitColor['relink']>;
}

/** Shades and bases near a plain colour, nearest first, to link to instead: what is linked follows. */
export default function NearLinks({ color, relink }: NearLinksProps) {
  const system = useSettledSystem();
  const { edit } = useEditing();
  const settled = useSettled(color);
  const near = useMemo(() => nearShades(system, settled), [system, settled]);
  if (!near.length) return null;
  return (
    <section aria-label="Near it" className="flex flex-col gap-1">
      <h3 className="text-sm text-quiet">Near it, to link to</h3>
      <ul className="flex flex-col gap-1">
        {near.map(({ link, name, css, difference }) => (
          <li key={name}>
            <Button small className="w-full justify-start!" onClick={() => edit(relink(link))}>
              <ColorChip css={css} className="size-4" />
              <span className="min-w-0 flex-1 truncate text-left">{name}</span>
              <span className="font-mono text-quiet">
                {difference < 0.0005 ? 'the same' : `ΔE ${difference.toFixed(3)}`}
              </span>
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
