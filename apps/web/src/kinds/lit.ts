import type { ResolvedTheme, System } from '@mint-lamp/core/system/resolve';
import type { Selection } from '../store/interface-slice.ts';
import { lightBase, lightShade } from './families/lit-family.ts';
import { lightStop } from './gradients/lit-stop.ts';
import type { Light, LitColor } from './lit-color.ts';
import { lightRole } from './roles/lit-role.ts';
import { lightSwatch } from './tray/lit-swatch.ts';

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
