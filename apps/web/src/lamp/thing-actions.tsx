import { ShadeActions } from '../kinds/families/shade-actions.tsx';
import { SwatchActions } from '../kinds/tray/swatch-actions.tsx';
import { useAppSelector } from '../store/store.ts';
import { part } from '../ui/part.tsx';

const RoleActions = part(() => import('../kinds/roles/role-actions.tsx'));

/** What can be done with the selected thing besides colouring it, for the kinds that have something. */
export function ThingActions() {
  const selection = useAppSelector((state) => state.interface.selection);
  if (selection?.kind === 'shade') return <ShadeActions selection={selection} />;
  if (selection?.kind === 'role') return <RoleActions selection={selection} />;
  if (selection?.kind === 'swatch') return <SwatchActions selection={selection} />;
  return null;
}
