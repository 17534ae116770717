import type { ResolvedRole } from '@mint-lamp/core/system/roles/resolved-role';
import type { Role } from '@mint-lamp/core/system/roles/role';
import { writeRoleName } from '@mint-lamp/core/system/roles/role-name';
import type { Theme } from '@mint-lamp/core/system/themes/theme';
import clsx from 'clsx';
import { memo, useState } from 'react';
import { useNavigate } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { useColorDrop } from '../../dragging/color-dragging.tsx';
import { useThemeSwitch } from '../../kinds/themes/use-theme-switch.ts';
import { LinkPicker } from '../../links/link-picker.tsx';
import { useEditing } from '../../store/editing.ts';
import { useProjectId } from '../../store/selectors.ts';
import { ColorChip } from '../../ui/color-chip.tsx';

interface RoleCellProps {
  role: Role;
  theme: Theme;
  resolved: ResolvedRole | undefined;
  /** The link in words. */
  linked: string;
}

/** One role in one theme: its colour and link; a click opens the choice of another. */
export const RoleCell = memo(function RoleCell({ role, theme, resolved, linked }: RoleCellProps) {
  const id = useProjectId();
  const navigate = useNavigate();
  const switchTheme = useThemeSwitch();
  const { edit, preview } = useEditing();
  const [opened, setOpened] = useState(false);
  const drop = useColorDrop(`role ${role.id} ${theme.id}`, (color) =>
    edit({ type: 'setLink', role: role.id, theme: theme.id, link: { to: 'color', color } }),
  );
  const name = writeRoleName(role);
  const button = (
    <button
      ref={drop.setNodeRef}
      type="button"
      aria-label={`${name} in ${theme.name}: ${linked}`}
      title={resolved?.problem ?? resolved?.color?.css}
      onClick={() => {
        setOpened(true);
        switchTheme(theme.id);
        navigate(addressOf(id, 'assign', role.id), { replace: true });
      }}
      className={clsx(
        'flex w-full items-center gap-2 rounded-md px-2 py-1 text-left -outline-offset-2 hover:bg-pressed',
        drop.isOver && 'outline-2 outline-ring',
      )}
    >
      <ColorChip css={resolved?.color?.css ?? null} className="h-6 w-9" />
      <span className={clsx('truncate', resolved?.color ? '' : 'text-fail')}>{linked}</span>
    </button>
  );
  // The picker is made when it is first wanted, so that a large table stays light.
  if (!opened) return button;
  return (
    <LinkPicker
      startOpen
      link={role.links[theme.id] ?? null}
      label={`Link of ${name} in ${theme.name}`}
      trigger={button}
      exceptRole={role.id}
      onPick={(next) => edit({ type: 'setLink', role: role.id, theme: theme.id, link: next })}
      onPreview={(next) => preview(next && { type: 'setLink', role: role.id, theme: theme.id, link: next })}
    />
  );
});
