import { writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import { rolePaint } from '@mint-lamp/core/system/roles/role-paint';
import clsx from 'clsx';
import { useNavigate } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { scenePaint } from '../../scene/scene-paint.ts';
import { Timetable } from '../../scene/timetable.tsx';
import { selected } from '../../store/interface-slice.ts';
import { selectProject, useProjectDocument, useTheme } from '../../store/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { ColorChip } from '../../ui/color-chip.tsx';
import { EmptyState } from '../../ui/notice.tsx';
import { PageHeader } from '../../ui/page-header.tsx';

/** The system tried on a page that only roles paint. A click tells which role is at work. */
export default function Stage() {
  const doc = useProjectDocument();
  const theme = useTheme();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const id = useAppSelector((state) => selectProject(state).id);
  const selection = useAppSelector((state) => state.interface.selection);
  const paint = scenePaint(theme);
  // Painted here, and not as a component, so that the account of the roles is complete below.
  const scene = Timetable({ paint });
  const light = (role: string) => dispatch(selected({ kind: 'role', role }));
  if (!doc.roles.length)
    return (
      <>
        <PageHeader title="Stage" lead="Your roles on a real page." />
        <EmptyState title="Nothing to paint with yet">
          The page is painted by roles: name some at Assign.
        </EmptyState>
      </>
    );
  return (
    <div className="flex min-h-full flex-col">
      <PageHeader
        title="Stage"
        lead={`The timetable page in ${theme.theme.name}. Click anything to light the role that paints it.`}
      />
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_168px] gap-4 px-5 pb-5">
        <div
          aria-hidden
          data-specimen
          data-testid="scene"
          className="cursor-pointer overflow-hidden rounded-md border border-hair"
          onClick={(event) => {
            const role = (event.target as HTMLElement).closest<HTMLElement>('[data-role]')?.dataset.role;
            if (role) light(role);
          }}
          onDoubleClick={() => {
            if (selection?.kind === 'role') navigate(addressOf(id, 'assign', selection.role));
          }}
        >
          {scene}
        </div>
        <section aria-label="Painted by">
          <h2 className="mb-1 text-sm text-quiet">Painted by</h2>
          <ul>
            {[...paint.used].map((role) => {
              const resolved = theme.roles.get(role)!;
              const on = selection?.kind === 'role' && selection.role === role;
              return (
                <li key={role}>
                  <button
                    type="button"
                    aria-pressed={on}
                    onClick={() => light(role)}
                    className={clsx(
                      'flex w-full items-center gap-1.5 rounded-md px-1 py-0.5 text-left text-sm hover:bg-pressed',
                      on && 'bg-pressed font-semibold',
                    )}
                  >
                    <ColorChip css={rolePaint(theme, role)} className="size-4" />
                    <span className="truncate">{writeRoleName(resolved.role)}</span>
                  </button>
                </li>
              );
            })}
          </ul>
          {paint.missing.size > 0 && (
            <div className="mt-3 border-t border-hair pt-2 text-sm text-quiet">
              <p>This page would also use roles named</p>
              <p className="text-main">{[...paint.missing].join(', ')}</p>
            </div>
          )}
        </section>
      </div>
    </div>
  );
}
