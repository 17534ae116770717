import { formatRatio } from '@mint-lamp/core/contrast/ratio';
import type { Link } from '@mint-lamp/core/system/links/link';
import { linkName } from '@mint-lamp/core/system/links/link-name';
import type { Measurement } from '@mint-lamp/core/system/pairs/measure';
import type { ResolvedRole } from '@mint-lamp/core/system/roles/resolved-role';
import type { Role } from '@mint-lamp/core/system/roles/role';
import { writeRoleName } from '@mint-lamp/core/system/roles/role-name';
import type { RoleUse } from '@mint-lamp/core/system/roles/use-names';
import type { Theme } from '@mint-lamp/core/system/themes/theme';
import clsx from 'clsx';
import { type KeyboardEvent, memo, useState } from 'react';
import { useStore } from 'react-redux';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { addressOf } from '../../../addresses.ts';
import { useColorDrop } from '../../../dragging/color-dragging.tsx';
import { useThemeSwitch } from '../../../kinds/themes/use-theme-switch.ts';
import { LinkPicker } from '../../../links/link-picker.tsx';
import { useEditing } from '../../../store/editing.ts';
import { selectDocument, selectSystem, useProjectId } from '../../../store/selectors.ts';
import type { AppStore } from '../../../store/store.ts';
import { besideInFamily } from './beside-in-family.ts';
import { copiedLink, copyLink } from './copied-link.ts';
import { Specimen } from './specimen.tsx';

interface SheetCellProps {
  role: Role;
  theme: Theme;
  resolved: ResolvedRole | undefined;
  use: RoleUse;
  /** What it stands on and what stands on it, in CSS; null where there is nothing but the page. */
  on: string | null;
  text: string | null;
  /** The link in words. */
  linked: string;
  /** The pair in which it does worst here. */
  worst: Measurement | null;
  /** For a derived theme: whether its link is left out, and the way to change that. */
  proposed: { readonly isLeft: boolean; readonly onToggle: (role: string) => void } | null;
  /** Nothing is linked otherwise while a derived theme waits to be taken or left. */
  still: boolean;
}

/**
 * One role in one theme: as what it is for, with its link and its worst ratio; a press opens the choice of another.
 * Arrow keys go along the family and along the sheet; links are copied, pasted and cleared.
 */
export const SheetCell = memo(function SheetCell(props: SheetCellProps) {
  const { role, theme, resolved, use, on, text, linked, worst, proposed, still } = props;
  const id = useProjectId();
  const store = useStore() as AppStore;
  const navigate = useNavigate();
  const switchTheme = useThemeSwitch();
  const { edit, tryEdit, preview } = useEditing();
  const [opened, setOpened] = useState(false);
  const linking = (link: Link | null) => ({ type: 'setLink', role: role.id, theme: theme.id, link }) as const;
  const set = (link: Link | null) => edit(linking(link));
  const drop = useColorDrop(`role ${role.id} ${theme.id}`, (color) => set({ to: 'color', color }));
  const name = writeRoleName(role);
  const link = role.links[theme.id] ?? null;
  const onKeyDown = (event: KeyboardEvent<HTMLButtonElement>) => {
    const mod = event.ctrlKey || event.metaKey;
    if (mod && event.key === 'c' && link) {
      event.preventDefault();
      copyLink(link, linkName(selectDocument(store.getState()), link));
      toast(`Copied: ${linked}`);
    } else if (mod && event.key === 'v') {
      const copied = copiedLink();
      if (!copied) return;
      event.preventDefault();
      set(copied);
    } else if (mod || event.altKey) return;
    else if (event.key === 'ArrowLeft' || event.key === 'ArrowRight') {
      const way = event.key === 'ArrowLeft' ? 'darker' : 'lighter';
      const next = link && besideInFamily(selectSystem(store.getState()), link, way);
      if (!next) return;
      event.preventDefault();
      set(next);
    } else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      event.preventDefault();
      focusBeside(event.currentTarget, event.key === 'ArrowUp' ? -1 : 1);
    } else if ((event.key === 'Delete' || event.key === 'Backspace') && link) {
      event.preventDefault();
      set(null);
    }
  };
  if (proposed)
    return (
      <label
        className={clsx('flex h-9 w-full items-center', proposed.isLeft && 'opacity-60')}
        title={proposed.isLeft ? 'Left out' : 'Taken with the others'}
      >
        <Specimen use={use} css={resolved?.color?.css ?? null} on={on} text={text} />
        <span className="flex h-full min-w-0 flex-1 items-center gap-2 border-b border-hair px-2 hover:bg-pressed">
          <input
            type="checkbox"
            aria-label={`Take ${name}: ${linked}`}
            checked={!proposed.isLeft}
            onChange={() => proposed.onToggle(role.id)}
          />
          <span className="min-w-0 flex-1 truncate">{linked}</span>
          <Worst worst={worst} />
        </span>
      </label>
    );
  const button = (
    <button
      ref={drop.setNodeRef}
      type="button"
      data-role-cell={theme.id}
      aria-label={`${name} in ${theme.name}: ${linked}${worst ? `, ${formatRatio(worst.ratio)} to 1 at worst` : ''}`}
      title={resolved?.problem ?? resolved?.color?.css}
      onClick={() => {
        setOpened(!still);
        switchTheme(theme.id);
        navigate(addressOf(id, 'assign', role.id), { replace: true });
      }}
      onKeyDown={still ? undefined : onKeyDown}
      className={clsx(
        'flex h-9 w-full items-center text-left -outline-offset-2',
        drop.isOver && 'outline-2 outline-ring',
      )}
    >
      <Specimen use={use} css={resolved?.color?.css ?? null} on={on} text={text} />
      <span
        className={clsx(
          'flex h-full min-w-0 flex-1 items-center gap-2 border-b border-hair px-2 hover:bg-pressed',
          !resolved?.color && 'text-fail',
        )}
      >
        <span className="min-w-0 flex-1 truncate">{linked}</span>
        <Worst worst={worst} />
      </span>
    </button>
  );
  // The picker is made when it is first wanted, so that a large sheet stays light.
  if (!opened) return button;
  return (
    <LinkPicker
      startOpen
      link={link}
      label={`Link of ${name} in ${theme.name}`}
      trigger={button}
      exceptRole={role.id}
      onPick={(next) => tryEdit(linking(next))}
      onFill={(next) => edit(inEveryTheme(selectDocument(store.getState()).themes, role, next))}
      onPreview={(next) => preview(next && linking(next))}
    />
  );
});

function Worst({ worst }: { worst: Measurement | null }) {
  if (!worst?.ratio) return null;
  return (
    <span
      className={clsx('font-mono text-sm', worst.passes ? 'text-quiet' : 'font-bold text-fail')}
      title={worst.passes ? `passes ${worst.required}` : `needs ${worst.required}`}
    >
      {formatRatio(worst.ratio)}
    </span>
  );
}

/** One link for a role in every theme, as one edit. */
const inEveryTheme = (themes: readonly Theme[], role: Role, link: Link) =>
  ({
    type: 'batch',
    label: `link ${writeRoleName(role)} in every theme`,
    commands: themes.map(({ id }) => ({ type: 'setLink', role: role.id, theme: id, link }) as const),
  }) as const;

/** Moves the focus to the same theme of the next role in a direction, headings left out. */
function focusBeside(cell: HTMLElement, way: 1 | -1): void {
  const theme = cell.dataset.roleCell;
  let row = cell.closest('tr') as Element | null;
  while (row) {
    row = way === 1 ? row.nextElementSibling : row.previousElementSibling;
    const other = row?.querySelector<HTMLElement>(`[data-role-cell="${theme}"]`);
    if (other) {
      other.focus();
      return;
    }
  }
}
