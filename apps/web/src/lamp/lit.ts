import type { ResolvedTheme, System } from '@mint-lamp/core/system/resolve/resolve';
import { lightBase, lightShade } from '../kinds/families/lit-family.ts';
import { lightStop } from '../kinds/gradients/lit-stop.ts';
import type { Light, LitColor } from '../kinds/lit-color.ts';
import { lightRole } from '../kinds/roles/lit-role.ts';
import { lightSwatch } from '../kinds/tray/lit-swatch.ts';
import type { Selection } from '../store/interface-slice.ts';

/** Every kind of thing that the lamp can shine on: the compiler asks for each. */
const LIGHTS: { readonly [K in Selection['kind']]: Light<K> } = {
  base: lightBase,
  shade: lightShade,
  role: lightRole,
  stop: lightStop,
  swatch: lightSwatch,
};

/** What the lamp shows for a selection; null when the selected thing is gone, or nothing is selected. */
export function litColor(system: System, theme: ResolvedTheme, selection: Selection | null): LitColor | null {
  return selection && (LIGHTS[selection.kind] as Light<Selection['kind']>)(system, theme, selection);
}
