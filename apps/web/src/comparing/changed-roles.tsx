import { formatRatio } from '@mint-lamp/core/contrast/ratio';
import type {
  CellDifference,
  Differences,
  RoleDifference,
  RoleState,
} from '@mint-lamp/core/edits/compare/differences';
import { portionKey } from '@mint-lamp/core/edits/compare/parts';
import clsx from 'clsx';
import type { Ref } from 'react';
import { Link } from 'react-router';
import { addressOf } from '../addresses.ts';
import { useProjectId } from '../store/selectors.ts';
import { useLongList } from '../ui/long-list.ts';
import { BeforeAfter } from './before-after.tsx';
import type { Restoring } from './use-restoring.ts';

interface ChangedRolesProps {
  differences: Differences;
  restoring: Restoring | null;
}

/** Roles × themes, only what differs: both colours, both links, both worst ratios. */
export function ChangedRoles({ differences: { roles, columns }, restoring }: ChangedRolesProps) {
  const { list, rows, before, after, measure } = useLongList<HTMLTableSectionElement>({
    count: roles.length,
    estimate: 45,
    keyOf: (index) => roles[index]!.id,
  });
  if (!roles.length) return null;
  const themes = columns.filter(({ id }) =>
    roles.some(({ cells }) => cells.some(({ theme }) => theme === id)),
  );
  const empty = (height: number) =>
    height > 0 && (
      <tr aria-hidden>
        <td colSpan={themes.length + 1} className="p-0" style={{ height }} />
      </tr>
    );
  return (
    <section aria-label="Roles" className="min-w-fit">
      <h2 className="mb-1 font-title font-semibold">Roles</h2>
      <table aria-rowcount={roles.length + 1} className="w-full border-separate border-spacing-0">
        <caption className="sr-only">What differs, by role and theme</caption>
        <thead>
          <tr>
            <th scope="col" className="border-b border-control py-1 text-left text-sm font-semibold">
              Role
            </th>
            {themes.map(({ id, name }) => (
              <th
                key={id}
                scope="col"
                className="border-b border-control px-2 py-1 text-left text-sm font-semibold"
              >
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody ref={list}>
          {empty(before)}
          {rows.map((i) => (
            <RoleRow
              key={roles[i]!.id}
              ref={measure}
              index={i}
              role={roles[i]!}
              themes={themes}
              restoring={restoring}
            />
          ))}
          {empty(after)}
        </tbody>
      </table>
    </section>
  );
}

interface RoleRowProps {
  ref: Ref<HTMLTableRowElement> | undefined;
  index: number;
  role: RoleDifference;
  themes: Differences['columns'];
  restoring: Restoring | null;
}

const SAYS = { added: 'new', removed: 'gone', changed: '' } as const;

function RoleRow({ ref, index, role, themes, restoring }: RoleRowProps) {
  const project = useProjectId();
  const { id, name, change, words, itself, cells } = role;
  const part = { part: 'role', id } as const;
  const note = SAYS[change] || words.join(', ');
  return (
    <tr ref={ref} data-index={index} aria-rowindex={index + 2}>
      <th scope="row" className="w-44 border-b border-hair py-1 text-left align-top font-normal">
        <span className="flex items-center gap-2">
          {itself && restoring && (
            <input
              type="checkbox"
              aria-label={`${name} itself: ${note}`}
              checked={restoring.chosen.has(portionKey(part))}
              onChange={({ target }) => restoring.toggle([part], target.checked)}
            />
          )}
          {change === 'removed' ? (
            <span>{name}</span>
          ) : (
            <Link to={addressOf(project, 'assign', id)} className="hover:underline">
              {name}
            </Link>
          )}
        </span>
        {note && <span className="text-sm text-quiet">{note}</span>}
      </th>
      {themes.map(({ id: theme, name: themeName }) => {
        const cell = cells.find((one) => one.theme === theme);
        return (
          <td key={theme} className="border-b border-hair px-2 py-1 align-top">
            {cell && <Cell role={role} cell={cell} theme={themeName} restoring={restoring} />}
          </td>
        );
      })}
    </tr>
  );
}

interface CellProps {
  role: RoleDifference;
  cell: CellDifference;
  theme: string;
  restoring: Restoring | null;
}

function Cell({ role, cell, theme, restoring }: CellProps) {
  const { before, after, linked } = cell;
  const part = { part: 'cell', id: role.id, theme: cell.theme } as const;
  const content = (
    <>
      <BeforeAfter before={before?.css ?? null} after={after?.css ?? null} />
      <span className="flex min-w-0 flex-col text-sm leading-tight">
        <span>
          {linked
            ? `${before?.words ?? 'none'} → ${after?.words ?? 'none'}`
            : `${after?.words ?? ''}, which moved`}
        </span>
        {(before?.ratio != null || after?.ratio != null) && (
          <span className="font-mono text-quiet">
            <Ratio side={before} /> → <Ratio side={after} />
          </span>
        )}
      </span>
    </>
  );
  if (!linked || !restoring)
    return <span className={clsx('flex items-center gap-2', restoring && 'pl-[21px]')}>{content}</span>;
  return (
    <label className="flex items-center gap-2 hover:bg-pressed">
      <input
        type="checkbox"
        aria-label={`${role.name} in ${theme}: ${before?.words ?? 'none'}`}
        checked={restoring.chosen.has(portionKey(part))}
        onChange={({ target }) => restoring.toggle([part], target.checked)}
      />
      {content}
    </label>
  );
}

function Ratio({ side }: { side: RoleState | null }) {
  if (side?.ratio == null) return <span>no pair</span>;
  if (side.ratio === 0) return <span>none</span>;
  return <span className={clsx(!side.passes && 'font-bold text-fail')}>{formatRatio(side.ratio)}</span>;
}
