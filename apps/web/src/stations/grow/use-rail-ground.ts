import { paintedOver, type Rgba } from '@mint-lamp/core/contrast/ratio';
import { groundOf } from '@mint-lamp/core/system/pairs/measure';
import { writeRoleName } from '@mint-lamp/core/system/roles/role-name';
import { useCallback, useMemo, useState } from 'react';
import { useSystem, useTheme } from '../../store/selectors.ts';
import { ofTab } from '../../store/storage.ts';

const WHITE: Rgba = { r: 255, g: 255, b: 255, alpha: 1 };
const BLACK: Rgba = { r: 0, g: 0, b: 0, alpha: 1 };

/** The ground that the marks are drawn against, as chosen in this tab: white, black, or a role. */
export function useRailGround() {
  const system = useSystem();
  const theme = useTheme();
  const [key, setKey] = useState(() => ofTab.read('mint-lamp/rail-ground') ?? '');
  const { roles, ground } = system.document;
  const chosen = key || (ground ? `role ${ground}` : 'white');
  const role = theme.roles.get(chosen.replace(/^role /, ''));
  const known = chosen === 'black' || chosen === 'white' || role?.color;
  const value = known ? chosen : 'white';
  const color: Rgba =
    value === 'white'
      ? WHITE
      : value === 'black'
        ? BLACK
        : paintedOver(role!.color!, groundOf(system, theme));
  const themeName = theme.theme.name;
  const options = useMemo(
    () => [
      { value: 'white', label: 'White' },
      { value: 'black', label: 'Black' },
      ...roles.map((r) => ({
        value: `role ${r.id}`,
        label: writeRoleName(r),
        group: `Roles in ${themeName}`,
      })),
    ],
    [roles, themeName],
  );
  const choose = useCallback((next: string) => {
    setKey(next);
    ofTab.write('mint-lamp/rail-ground', next);
  }, []);
  return { value, color, options, choose, name: options.find((o) => o.value === value)?.label ?? 'White' };
}
