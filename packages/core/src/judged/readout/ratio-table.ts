import { luminance, paintedOver, type Rgba, ratioOfLuminances } from '../../contrast/ratio.ts';
import { type Painted, paint } from '../../system/painted.ts';
import type { ResolvedTheme, System } from '../../system/resolve.ts';
import { alongLine, someOf } from '../pairs/line-colors.ts';
import { groundOf } from '../pairs/measure.ts';
import { isGradient, surfaceOf } from '../pairs/surface.ts';

/** A colour of the project that is held against others. */
export type TableColor =
  | { readonly kind: 'role'; readonly role: string }
  | { readonly kind: 'shade'; readonly family: string; readonly shade: string }
  | { readonly kind: 'swatch'; readonly color: string };

/** A colour in a theme; null where its link is broken, it is gone, or a gradient paints it. */
export function tableColorIn(system: System, theme: ResolvedTheme, one: TableColor): Painted | null {
  if (one.kind === 'role') return theme.roles.get(one.role)?.color ?? null;
  if (one.kind === 'swatch') return paint(one.color);
  return system.families.get(one.family)?.byLabel.get(one.shade) ?? null;
}

/** Colours that a role which a gradient paints is held against others in. */
const LINE_COLORS = 65;

/** The colours that one comes to: several where a gradient paints it, none where its link is broken or it is gone. */
function colorsIn(system: System, theme: ResolvedTheme, one: TableColor): readonly Rgba[] {
  const color = tableColorIn(system, theme, one);
  if (color) return [color];
  const surface = one.kind === 'role' ? surfaceOf(theme, one.role) : null;
  const line = isGradient(surface) ? alongLine(surface) : null;
  return line ? someOf(line.seen, LINE_COLORS).map((seen) => seen.color) : [];
}

/**
 * The WCAG ratio, 1–21, of each foreground on each ground, foreground by foreground; of several themes the least. Grounds
 * are laid over what lies beneath the page, foregrounds over them, as they are painted; of what a gradient paints the worst
 * colour counts. 0 where a colour is missing in
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
    const fronts = foregrounds.map((one) =>
      colorsIn(system, theme, one).map((color) => ({
        color,
        y: color.alpha === 1 ? luminance(color) : null,
      })),
    );
    const backs = grounds.map((one) =>
      colorsIn(system, theme, one).map((color) => {
        const painted: Rgba = color.alpha === 1 ? color : paintedOver(color, beneath);
        return { painted, y: luminance(painted) };
      }),
    );
    let at = 0;
    for (const front of fronts)
      for (const back of backs) {
        // Without a colour on either side there is no ratio.
        let ratio = front.length && back.length ? 22 : 0;
        for (const { color, y } of front)
          for (const ground of back) {
            const own = y ?? luminance(paintedOver(color, ground.painted));
            ratio = Math.min(ratio, ratioOfLuminances(own, ground.y));
          }
        if (ratio < table[at]!) table[at] = ratio;
        at += 1;
      }
  }
  return table;
}
