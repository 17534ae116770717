import type { RoleLink } from '@mint-lamp/core/document/links/link';
import { freeName, slugsOf } from '@mint-lamp/core/document/naming/names';
import type { Theme } from '@mint-lamp/core/document/themes/theme';
import { ArrowDown, ArrowUp, CopyPlus, Trash2 } from 'lucide-react';
import { memo, useState } from 'react';
import { newId, useEditing } from '../../store/editing.ts';
import { selectTheme, useDocumentPart } from '../../store/selectors.ts';
import { useAppSelector } from '../../store/store.ts';
import { Button } from '../../ui/button.tsx';
import { IconButton } from '../../ui/icon-button.tsx';
import { Popover } from '../../ui/popover.tsx';
import { TextField } from '../../ui/text-field.tsx';

/** Renames, orders, adds, duplicates and removes themes. A new theme begins as a copy of the one that is switched on. */
export const ThemeMenu = memo(function ThemeMenu() {
  const themes = useDocumentPart('themes');
  const roles = useDocumentPart('roles');
  const current = useAppSelector((state) => selectTheme(state).theme);
  const { edit, tryEdit } = useEditing();
  const [name, setName] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const linksIn = (theme: string) => {
    const links: Record<string, RoleLink> = {};
    for (const role of roles) {
      const link = role.links[theme];
      if (link) links[role.id] = link;
    }
    return links;
  };
  /** The same once more, behind it. */
  const duplicate = ({ id, name: own }: Theme, index: number) =>
    edit({
      type: 'addTheme',
      theme: { id: newId(), name: freeName(`${own} copy`, slugsOf(themes)) },
      index: index + 1,
      links: linksIn(id),
    });
  const add = () => {
    const links = linksIn(current.id);
    const refused = tryEdit({ type: 'addTheme', theme: { id: newId(), name: name.trim() }, links });
    setFault(refused);
    if (!refused) setName('');
  };
  return (
    <Popover label="Themes" align="end" trigger={<Button>Themes …</Button>}>
      <ul className="flex w-96 flex-col gap-1.5">
        {themes.map((theme, i) => (
          <li key={theme.id} className="flex items-center gap-1">
            <TextField
              label={`Name of theme ${i + 1}`}
              hideLabel
              value={theme.name}
              className="flex-1"
              onCommit={(text) => tryEdit({ type: 'renameTheme', theme: theme.id, name: text })}
            />
            <IconButton label={`Duplicate ${theme.name}`} onClick={() => duplicate(theme, i)}>
              <CopyPlus aria-hidden className="size-4" />
            </IconButton>
            <IconButton
              label={`Move ${theme.name} forward`}
              disabled={i === 0}
              onClick={() => edit({ type: 'moveTheme', theme: theme.id, index: i - 1 })}
            >
              <ArrowUp aria-hidden className="size-4" />
            </IconButton>
            <IconButton
              label={`Move ${theme.name} back`}
              disabled={i === themes.length - 1}
              onClick={() => edit({ type: 'moveTheme', theme: theme.id, index: i + 1 })}
            >
              <ArrowDown aria-hidden className="size-4" />
            </IconButton>
            <IconButton
              label={`Remove ${theme.name}`}
              disabled={themes.length === 1}
              onClick={() => edit({ type: 'removeTheme', theme: theme.id })}
            >
              <Trash2 aria-hidden className="size-4" />
            </IconButton>
          </li>
        ))}
      </ul>
      <form
        className="mt-3 flex w-96 flex-wrap items-end gap-2 border-t border-hair pt-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim()) add();
        }}
      >
        <label className="flex-1">
          <span className="mb-0.5 block text-sm text-quiet">New theme, a copy of {current.name}</span>
          <input
            value={name}
            maxLength={80}
            aria-invalid={fault !== null}
            onChange={(event) => {
              setName(event.target.value);
              setFault(null);
            }}
            className="h-8 w-full rounded-md border border-control bg-raised px-2"
          />
        </label>
        <Button type="submit" disabled={!name.trim()}>
          Add
        </Button>
        {fault && (
          <p role="alert" className="w-full text-sm text-fail">
            {fault}
          </p>
        )}
      </form>
    </Popover>
  );
});
