import { contrastRatio, formatRatio, paintedOver, reaches } from '@mint-lamp/core/contrast/ratio';
import { writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import { groundOf } from '@mint-lamp/core/judged/pairs/measure';
import type { Painted } from '@mint-lamp/core/system/painted';
import { useMemo } from 'react';
import { useSystem, useTheme } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { ColorChip } from '../ui/color-chip.tsx';

const MOST = 6;

/** The ratio of the lit colour as text on the grounds that it meets in this theme. */
export function Grounds({ painted }: { painted: Painted }) {
  const system = useSystem();
  const theme = useTheme();
  const selection = useAppSelector((state) => state.interface.selection);
  const beneath = groundOf(system, theme);
  const { pairs } = system.document;
  // A role meets the grounds of its pairs; any other colour is shown on all grounds that pairs name.
  const ids = useMemo(() => {
    const own = selection?.kind === 'role' ? pairs.filter((pair) => pair.foreground === selection.role) : [];
    return [...new Set((own.length ? own : pairs).map((pair) => pair.background))];
  }, [pairs, selection]);
  const grounds = ids.slice(0, MOST).flatMap((id) => {
    const role = theme.roles.get(id);
    return role?.color
      ? [
          {
            id,
            name: writeRoleName(role.role),
            ground: paintedOver(role.color, beneath),
            css: role.color.css,
          },
        ]
      : [];
  });
  if (!grounds.length) return null;
  return (
    <section aria-label="Contrast" data-help="as-text" className="border-t border-hair pt-2">
      <h3 className="text-sm text-quiet">As text on</h3>
      <ul>
        {grounds.map(({ id, name, ground, css }) => {
          const ratio = contrastRatio(paintedOver(painted, ground), ground);
          return (
            <li key={id} className="flex items-center gap-2 py-0.5">
              <ColorChip css={css} className="size-4" />
              <span className="min-w-0 flex-1 truncate">{name}</span>
              <span className="font-mono text-sm">{formatRatio(ratio)}</span>
              <span className="w-20 text-right text-sm text-quiet">{reach(ratio)}</span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** What a ratio is enough for at AA, in words. */
function reach(ratio: number): string {
  if (reaches(ratio, 4.5)) return 'body text';
  if (reaches(ratio, 3)) return 'large text';
  return 'no text';
}
