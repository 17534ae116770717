import { luminance, paintedOver, type Rgba, ratioOfLuminances } from '../../contrast/ratio.ts';
import { groundOf } from '../pairs/measure.ts';
import { type Painted, paint } from '../resolve/painted.ts';
import type { ResolvedTheme, System } from '../resolve/resolve.ts';

/** A colour of the project that is held against others. */
export type TableColor =
  | { readonly kind: 'role'; readonly role: string }
  | { readonly kind: 'shade'; readonly family: string; readonly shade: string }
  | { readonly kind: 'swatch'; readonly color: string };

/** A colour in a theme; null where its link is broken, or it is gone. */
export function tableColorIn(system: System, theme: ResolvedTheme, one: TableColor): Painted | null {
  if (one.kind === 'role') return theme.roles.get(one.role)?.color ?? null;
  if (one.kind === 'swatch') return paint(one.color);
  return system.families.get(one.family)?.byLabel.get(one.shade) ?? null;
}

/**
 * The WCAG ratio, 1–21, of each foreground on each ground, foreground by foreground; of several themes the least. Grounds
 * are laid over what lies beneath the page, foregrounds over them, as they are painted. 0 where a colour is missing in
 * one of the themes.
 */
export function ratioTable(
  system: System,
  foregrounds: readonly TableColor[],
  grounds: readonly TableColor[],
  themes: readonly string[],
): Float64Array {
  const table = new Float64Array(foregrounds.length * grounds.length).fill(themes.length ? 22 : 0);
  for (const id of themes) {
    const theme = system.themes.get(id);
    if (!theme) return table.fill(0);
    const beneath = groundOf(system, theme);
    const fronts = foregrounds.map((one) => {
      const color = tableColorIn(system, theme, one);
      return color && { color, y: color.alpha === 1 ? luminance(color) : null };
    });
    const backs = grounds.map((one) => {
      const color = tableColorIn(system, theme, one);
      if (!color) return null;
      const painted: Rgba = color.alpha === 1 ? color : paintedOver(color, beneath);
      return { painted, y: luminance(painted) };
    });
    let at = 0;
    for (const front of fronts)
      for (const back of backs) {
        const ratio =
          front && back
            ? ratioOfLuminances(front.y ?? luminance(paintedOver(front.color, back.painted)), back.y)
            : 0;
        if (ratio < table[at]!) table[at] = ratio;
        at += 1;
      }
  }
  return table;
}
