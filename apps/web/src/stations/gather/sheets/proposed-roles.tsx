import type { SheetChoice } from '@mint-lamp/core/sheet/adopt';
import type { PaintedSheet, PaintedSource } from '@mint-lamp/core/sheet/paint-sheet';
import type { SheetRole } from '@mint-lamp/core/sheet/sheet-roles';
import type { SheetSystem } from '@mint-lamp/core/sheet/sheet-system';
import clsx from 'clsx';
import { memo, useMemo } from 'react';
import { ColorChip } from '../../../ui/color-chip.tsx';
import type { SetChoice } from './use-sheet-choice.ts';

interface ProposedRolesProps {
  system: SheetSystem;
  choice: SheetChoice;
  painted: PaintedSheet['roles'] | null;
  set: SetChoice;
}

function byGroup(roles: readonly SheetRole[]): [group: string, roles: SheetRole[]][] {
  const groups = new Map<string, SheetRole[]>();
  for (const role of roles) {
    const group = role.group.join(' ');
    const list = groups.get(group);
    if (list) list.push(role);
    else groups.set(group, [role]);
  }
  return [...groups];
}

/** The roles of a proposal by group, with what each comes to in the themes that are taken. */
export function ProposedRoles({ system, choice, painted, set }: ProposedRolesProps) {
  const groups = useMemo(() => byGroup(system.roles), [system]);
  if (!groups.length) return null;
  const themes = system.themes.filter(({ key }) => choice.themes.has(key)).slice(0, MOST_THEMES);
  return (
    <section aria-label="Proposed roles" className="mb-5">
      <h2 className="mb-1 font-title text-lg font-semibold">Roles</h2>
      <table className="w-full border-collapse">
        <thead>
          <tr className="border-b border-hair text-left text-sm text-quiet">
            <th className="py-1 font-normal">Role</th>
            {themes.map(({ key, name }) => (
              <th key={key} className="py-1 pl-2 font-normal">
                {name}
              </th>
            ))}
            <th className="py-1 pl-2 font-normal">What it was</th>
          </tr>
        </thead>
        {groups.map(([group, roles]) => (
          <tbody key={group} className="border-b border-hair">
            {group && (
              <tr>
                <td colSpan={themes.length + 2} className="pt-1.5">
                  <label className="flex items-center gap-2 font-semibold">
                    <input
                      type="checkbox"
                      checked={roles.every(({ property }) => choice.roles.has(property))}
                      onChange={(event) =>
                        set(
                          'roles',
                          roles.map(({ property }) => property),
                          event.target.checked,
                        )
                      }
                    />
                    {group}
                  </label>
                </td>
              </tr>
            )}
            {roles.map((role) => (
              <ProposedRole
                key={role.property}
                role={role}
                taken={choice.roles.has(role.property)}
                sources={painted?.get(role.property)}
                themes={themes}
                set={set}
              />
            ))}
          </tbody>
        ))}
      </table>
    </section>
  );
}

/** Themes that are shown beside each other here; the others are taken all the same. */
const MOST_THEMES = 4;

interface ProposedRoleProps {
  role: SheetRole;
  taken: boolean;
  sources: ReadonlyMap<string, PaintedSource> | undefined;
  themes: SheetSystem['themes'];
  set: SetChoice;
}

const ProposedRole = memo(function ProposedRole({ role, taken, sources, themes, set }: ProposedRoleProps) {
  return (
    <tr className={clsx(!taken && 'opacity-50')}>
      <td className="py-0.5">
        <label className={clsx('flex items-center gap-2', role.group.length > 0 && 'pl-5')}>
          <input
            type="checkbox"
            aria-label={[...role.group, role.name].join('.')}
            checked={taken}
            onChange={(event) => set('roles', [role.property], event.target.checked)}
          />
          <span className="truncate">{role.name}</span>
        </label>
      </td>
      {themes.map(({ key }) => {
        const source = sources?.get(key);
        return (
          <td key={key} className="py-0.5 pl-2">
            {source && (
              <span className="flex min-w-0 items-center gap-1.5">
                <ColorChip css={source.css} className="h-5 w-10" />
                <span className="truncate text-sm text-quiet">{source.points}</span>
              </span>
            )}
          </td>
        );
      })}
      <td className="max-w-56 py-0.5 pl-2 text-sm" title={role.origin?.value}>
        <span className="block truncate font-mono">{role.property}</span>
        {role.origin && (
          <span className="block truncate text-quiet">
            {role.origin.file && `${role.origin.file}, `}line {role.origin.line}
          </span>
        )}
      </td>
    </tr>
  );
});
