import { formatRatio } from '@mint-lamp/core/contrast/ratio';
import { plainLink, type RoleLink } from '@mint-lamp/core/document/links/link';
import { writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import type { Role } from '@mint-lamp/core/document/roles/role';
import type { RoleUse } from '@mint-lamp/core/document/roles/use-names';
import type { Theme } from '@mint-lamp/core/document/themes/theme';
import type { Measurement } from '@mint-lamp/core/judged/pairs/measurement';
import type { ResolvedRole } from '@mint-lamp/core/system/roles/resolved-role';
import clsx from 'clsx';
import { memo, useState } from 'react';
import { useStore } from 'react-redux';
import { useNavigate } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { useColorDrop } from '../../../dragging/color-dragging.tsx';
import { useThemeSwitch } from '../../../kinds/themes/use-theme-switch.ts';
import { LinkPicker } from '../../../links/link-picker.tsx';
import { useEditing } from '../../../store/editing.ts';
import { selectDocument, useProjectId } from '../../../store/selectors.ts';
import type { AppStore } from '../../../store/store.ts';
import { Specimen } from './specimen.tsx';
import type { CellActions } from './use-cell-actions.ts';

interface SheetCellProps {
  role: Role;
  theme: Theme;
  resolved: ResolvedRole | undefined;
  /** What it is painted with; null where its link is broken. */
  css: string | null;
  use: RoleUse;
  /** What it stands on and what stands on it, in CSS; null where there is nothing but the page. */
  on: string | null;
  text: string | null;
  words: string;
  /** The link in words. */
  linked: string;
  /** The pair in which it does worst here. */
  worst: Measurement | null;
  /** Whether it is one of several that are picked together. */
  picked: boolean;
  /** What the keyboard, pointer and drops do with cells; the same object always. */
  actions: CellActions;
  /** For a derived theme: whether its link is left out, and the way to change that. */
  proposed: { readonly isLeft: boolean; readonly onToggle: (role: string) => void } | null;
  /** Nothing is linked otherwise while a derived theme waits to be taken or left. */
  still: boolean;
}

/**
 * One role in one theme: as what it is for, with its link and its worst ratio; a press opens the choice of another.
 * Arrow keys go along the family and along the sheet, with Shift they pick several; links are copied, pasted and
 * cleared.
 */
export const SheetCell = memo(function SheetCell(props: SheetCellProps) {
  const {
    role,
    theme,
    resolved,
    css,
    use,
    on,
    text,
    words,
    linked,
    worst,
    picked,
    actions,
    proposed,
    still,
  } = props;
  const id = useProjectId();
  const store = useStore() as AppStore;
  const navigate = useNavigate();
  const switchTheme = useThemeSwitch();
  const { edit, tryEdit, preview } = useEditing();
  const [opened, setOpened] = useState(false);
  const place = { role: role.id, theme: theme.id };
  const linking = (link: RoleLink | null) => ({ type: 'setLink', ...place, link }) as const;
  const drop = useColorDrop(
    `role ${role.id} ${theme.id}`,
    (color) => actions.drop(place, { to: 'color', color }),
    (link) => actions.drop(place, link),
  );
  const name = writeRoleName(role);
  const link = role.links[theme.id] ?? null;
  if (proposed)
    return (
      <label
        className={clsx('flex h-9 w-full items-center', proposed.isLeft && 'opacity-60')}
        title={proposed.isLeft ? 'Left out' : 'Applied with the others'}
      >
        <Specimen use={use} css={css} on={on} text={text} words={words} />
        <span className="flex h-full min-w-0 flex-1 items-center gap-2 border-b border-hair px-2 hover:bg-pressed">
          <input
            type="checkbox"
            aria-label={`Apply ${name}: ${linked}`}
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
      data-role={role.id}
      aria-label={`${name} in ${theme.name}: ${linked}${worst ? `, ${formatRatio(worst.ratio)} to 1 at worst` : ''}${picked ? ', picked' : ''}`}
      title={resolved?.problem ?? resolved?.color?.css ?? linked}
      onPointerDown={(event) => actions.onPointerDown(event, place)}
      onFocus={() => actions.onFocus(place)}
      onClick={(event) => {
        if (event.shiftKey) return;
        setOpened(!still);
        switchTheme(theme.id);
        navigate(addressOf(id, 'assign', role.id), { replace: true });
      }}
      onKeyDown={still ? undefined : (event) => actions.onKeyDown(event, place)}
      className={clsx(
        'flex h-9 w-full items-center text-left -outline-offset-2',
        drop.isOver && 'outline-2 outline-ring',
      )}
    >
      <Specimen use={use} css={css} on={on} text={text} words={words} />
      <span
        className={clsx(
          'flex h-full min-w-0 flex-1 items-center gap-1.5 border-b border-hair px-1.5',
          picked ? 'bg-main text-inverse' : 'hover:bg-pressed',
          css === null && !picked && 'text-fail',
        )}
      >
        <span className="min-w-0 flex-1 truncate">{linked}</span>
        <Worst worst={worst} picked={picked} />
      </span>
    </button>
  );
  // The picker is made when it is first wanted, so that a large sheet stays light.
  if (!opened) return button;
  return (
    <LinkPicker
      startOpen
      link={plainLink(link)}
      gradient={{
        current: link?.to === 'gradient' ? link.gradient : null,
        onPick: (gradient) => tryEdit(linking({ to: 'gradient', gradient })),
        onLook: (gradient) => preview(linking({ to: 'gradient', gradient })),
        onFill: (gradient) =>
          edit(inEveryTheme(selectDocument(store.getState()).themes, role, { to: 'gradient', gradient })),
      }}
      label={`Link of ${name} in ${theme.name}`}
      trigger={button}
      exceptRole={role.id}
      onPick={(next) => tryEdit(linking(next))}
      onFill={(next) => edit(inEveryTheme(selectDocument(store.getState()).themes, role, next))}
      onPreview={(next) => preview(next && linking(next))}
    />
  );
});

function Worst({ worst, picked = false }: { worst: Measurement | null; picked?: boolean }) {
  if (!worst?.ratio) return null;
  return (
    <span
      className={clsx(
        'font-mono text-sm',
        !worst.passes && 'font-bold',
        !picked && (worst.passes ? 'text-quiet' : 'text-fail'),
      )}
      title={worst.passes ? `passes ${worst.required}` : `needs ${worst.required}`}
    >
      {formatRatio(worst.ratio)}
    </span>
  );
}

/** One link for a role in every theme, as one edit. */
const inEveryTheme = (themes: readonly Theme[], role: Role, link: RoleLink) =>
  ({
    type: 'batch',
    label: `link ${writeRoleName(role)} in every theme`,
    commands: themes.map(({ id }) => ({ type: 'setLink', role: role.id, theme: id, link }) as const),
  }) as const;
