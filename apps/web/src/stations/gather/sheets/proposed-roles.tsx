import type { SheetChoice } from '@mint-lamp/core/sheet/adopt';
import type { PaintedSheet, PaintedSource } from '@mint-lamp/core/sheet/paint-sheet';
import type { SheetRole } from '@mint-lamp/core/sheet/sheet-roles';
import type { SheetSystem } from '@mint-lamp/core/sheet/sheet-system';
import clsx from 'clsx';
import { memo, useMemo } from 'react';
import { ColorChip } from '../../../ui/color-chip.tsx';
import { useGradually } from '../../../ui/use-gradually.ts';
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
export const ProposedRoles = memo(function ProposedRoles({
  system,
  choice,
  painted,
  set,
}: ProposedRolesProps) {
  const groups = useMemo(() => byGroup(system.roles), [system]);
  const drawn = useGradually(groups, AT_ONCE);
  if (!groups.length) return null;
  const themes = system.themes.filter(({ key }) => choice.themes.has(key)).slice(0, MOST_THEMES);
  const columns = {
    gridTemplateColumns: `minmax(0, 1.3fr) repeat(${themes.length}, minmax(0, 1fr)) minmax(0, 1.2fr)`,
  };
  return (
    <section aria-label="Proposed roles" className="mb-5">
      <h2 className="mb-1 font-title text-lg font-semibold">Roles</h2>
      <p aria-hidden style={columns} className="grid gap-2 border-b border-hair py-1 text-sm text-quiet">
        <span>Role</span>
        {themes.map(({ key, name }) => (
          <span key={key} className="truncate">
            {name}
          </span>
        ))}
        <span>What it was</span>
      </p>
      {drawn.map(([group, roles]) => (
        <div
          key={group}
          // What is far from the window is neither laid out nor painted.
          style={{ containIntrinsicSize: `auto ${roles.length * ROW + (group ? ROW : 0)}px` }}
          className="border-b border-hair py-1 [content-visibility:auto]"
        >
          {group && (
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
          )}
          <ul aria-label={group || 'Roles in no group'}>
            {roles.map((role) => (
              <ProposedRole
                key={role.property}
                role={role}
                taken={choice.roles.has(role.property)}
                sources={painted?.get(role.property)}
                themes={themes}
                columns={columns.gridTemplateColumns}
                set={set}
              />
            ))}
          </ul>
        </div>
      ))}
    </section>
  );
});

/** Groups that are drawn in one frame. */
const AT_ONCE = 3;

/** px of a row, for what is not drawn yet. */
const ROW = 40;

/** Themes that are shown beside each other here; the others are taken all the same. */
const MOST_THEMES = 4;

interface ProposedRoleProps {
  role: SheetRole;
  taken: boolean;
  sources: ReadonlyMap<string, PaintedSource> | undefined;
  themes: SheetSystem['themes'];
  columns: string;
  set: SetChoice;
}

const ProposedRole = memo(function ProposedRole({
  role,
  taken,
  sources,
  themes,
  columns,
  set,
}: ProposedRoleProps) {
  return (
    <li
      style={{ gridTemplateColumns: columns }}
      className={clsx('grid items-center gap-2 py-0.5', !taken && 'opacity-50')}
    >
      <label className={clsx('flex min-w-0 items-center gap-2', role.group.length > 0 && 'pl-5')}>
        <input
          type="checkbox"
          aria-label={[...role.group, role.name].join('.')}
          checked={taken}
          onChange={(event) => set('roles', [role.property], event.target.checked)}
        />
        <span className="truncate">{role.name}</span>
      </label>
      {themes.map(({ key, name }) => {
        const source = sources?.get(key);
        return (
          <span key={key} className="flex min-w-0 items-center gap-1.5">
            {source && (
              <>
                <ColorChip css={source.css} className="h-5 w-10 shrink-0" />
                <span className="sr-only">{name}: </span>
                <span className="truncate text-sm text-quiet">{source.points}</span>
              </>
            )}
          </span>
        );
      })}
      <span className="min-w-0 text-sm" title={role.origin?.value}>
        <span className="block truncate font-mono">{role.property}</span>
        {role.origin && (
          <span className="block truncate text-quiet">
            {role.origin.file && `${role.origin.file}, `}line {role.origin.line}
          </span>
        )}
      </span>
    </li>
  );
});
