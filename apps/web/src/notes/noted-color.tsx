import type { Noted } from '@mint-lamp/core/document/naming/note-name';
import { gradientCss } from '@mint-lamp/core/system/gradients/gradient-css';
import type { ResolvedTheme, System } from '@mint-lamp/core/system/resolve';
import { litColor } from '../kinds/lit.ts';
import { useSystem, useTheme } from '../store/selectors.ts';
import { ColorChip } from '../ui/color-chip.tsx';

/** What a thing with a note on it is painted with; none where it has no colour of its own. */
function paintsOf(system: System, theme: ResolvedTheme, on: Noted): (string | null)[] {
  switch (on.kind) {
    case 'project':
    case 'scene':
    case 'theme':
      return [];
    case 'pair': {
      const pair = system.document.pairs.find(({ id }) => id === on.pair);
      return pair
        ? [pair.foreground, pair.background].map((role) => theme.roles.get(role)?.color?.css ?? null)
        : [];
    }
    case 'gradient': {
      const gradient = theme.gradients.get(on.gradient);
      return gradient ? [gradientCss(gradient)] : [];
    }
    default: {
      const lit = litColor(system, theme, on);
      return lit ? [lit.painted?.css ?? null] : [];
    }
  }
}

/** The colours of what a note is on, in the theme that is switched on. */
export function NotedColor({ on }: { on: Noted }) {
  const system = useSystem();
  const theme = useTheme();
  return (
    <span className="flex">
      {paintsOf(system, theme, on).map((css, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a pair's text and its ground
        <ColorChip key={i} css={css} className="h-7 w-9" />
      ))}
    </span>
  );
}
