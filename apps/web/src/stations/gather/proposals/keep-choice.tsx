import { writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import type { Keeping } from '@mint-lamp/core/edits/rounds/kept';
import { rolePaint } from '@mint-lamp/core/system/roles/role-paint';
import { useDocumentPart, useTheme } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { ColorChip } from '../../../ui/color-chip.tsx';
import { Popover } from '../../../ui/popover.tsx';

interface KeepChoiceProps {
  keeping: Keeping;
  onChange: (part: Partial<Keeping>) => void;
}

interface Item {
  readonly id: string;
  readonly name: string;
  readonly css: string | null;
}

const toggled = (ids: readonly string[], id: string) =>
  ids.includes(id) ? ids.filter((one) => one !== id) : [...ids, id];

/** Chooses what stays the same in every proposal; the rest is free. */
export function KeepChoice({ keeping, onChange }: KeepChoiceProps) {
  const families = useDocumentPart('families');
  const tray = useDocumentPart('tray');
  const roles = useDocumentPart('roles');
  const theme = useTheme();
  const known = (ids: readonly string[], list: readonly { id: string }[]) =>
    ids.filter((id) => list.some((one) => one.id === id)).length;
  const count =
    known(keeping.families, families) + known(keeping.swatches, tray) + known(keeping.roles, roles);
  const lists: readonly { key: keyof Keeping; title: string; items: readonly Item[] }[] = [
    {
      key: 'families',
      title: 'Families',
      items: families.map(({ id, name, base }) => ({ id, name, css: base })),
    },
    { key: 'swatches', title: 'Tray', items: tray.map(({ id, name, color }) => ({ id, name, css: color })) },
    {
      key: 'roles',
      title: 'Roles, with the families that they lead to',
      items: roles.map((role) => ({
        id: role.id,
        name: writeRoleName(role),
        css: rolePaint(theme, role.id),
      })),
    },
  ];
  return (
    <Popover label="What is kept" trigger={<Button>{count ? `Keep ${count} …` : 'Keep nothing …'}</Button>}>
      <div className="flex w-80 flex-col gap-3">
        <p className="text-sm text-quiet">These stay the same in every proposal.</p>
        {lists.map(
          ({ key, title, items }) =>
            items.length > 0 && (
              <fieldset key={key}>
                <legend className="mb-1 text-sm text-quiet">{title}</legend>
                <ul className="max-h-48 overflow-auto">
                  {items.map(({ id, name, css }) => (
                    <li key={id}>
                      <label className="flex items-center gap-2 py-0.5">
                        <input
                          type="checkbox"
                          checked={keeping[key].includes(id)}
                          onChange={() => onChange({ [key]: toggled(keeping[key], id) })}
                        />
                        <ColorChip css={css} className="size-5" />
                        <span className="truncate">{name}</span>
                      </label>
                    </li>
                  ))}
                </ul>
              </fieldset>
            ),
        )}
      </div>
    </Popover>
  );
}
