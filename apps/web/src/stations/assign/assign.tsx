import { useEffect } from 'react';
import { useParams } from 'react-router';
import { selected } from '../../store/interface-slice.ts';
import { selectDocument, useDocumentPart } from '../../store/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { Button } from '../../ui/button.tsx';
import { HelpMark } from '../../ui/help-mark.tsx';
import { EmptyState } from '../../ui/notice.tsx';
import { PageHeader } from '../../ui/page-header.tsx';
import { DeriveBar } from './derive/derive-bar.tsx';
import { DeriveMenu } from './derive/derive-menu.tsx';
import { useProposedTheme } from './derive/use-proposed-theme.ts';
import { FirstBar } from './first/first-bar.tsx';
import { useFirstSystem } from './first/use-first-system.ts';
import { NewRole } from './new-role.tsx';
import { Sheet } from './sheet/sheet.tsx';
import { StarterBar } from './starter/starter-bar.tsx';
import { useStarterRoles } from './starter/use-starter-roles.ts';
import { ThemeMenu } from './theme-menu.tsx';

/** Roles by name, with what each links to in every theme. */
export default function Assign() {
  const { role } = useParams();
  const dispatch = useAppDispatch();
  const roles = useDocumentPart('roles');
  const tray = useDocumentPart('tray');
  const hasFamilies = useAppSelector((state) => selectDocument(state).families.length > 0);
  const { proposed, ask } = useProposedTheme();
  const { proposed: first, begin } = useFirstSystem();
  useEffect(() => {
    if (!role) return;
    dispatch(selected({ kind: 'role', role }));
  }, [dispatch, role]);
  const starter = useStarterRoles();
  const proposes = first ?? starter.proposed ?? proposed;
  return (
    <div className="flex min-h-full flex-col">
      <PageHeader
        title="Assign"
        help="assign"
        lead={
          <span data-help="sheet">
            Give each use a name, and a shade in every theme. Each column is a page in that theme.{' '}
            <HelpMark of="sheet" about="Sheet" className="-my-1 align-middle" />
          </span>
        }
      >
        <ThemeMenu />
        {roles.length > 0 && !proposes && (
          <>
            <DeriveMenu onAsk={ask} />
            <Button onClick={starter.begin}>Starter roles …</Button>
          </>
        )}
        <NewRole />
      </PageHeader>
      {roles.length || proposes ? (
        <>
          {proposed && <DeriveBar proposed={proposed} />}
          {first && <FirstBar proposed={first} />}
          {starter.proposed && <StarterBar proposed={starter.proposed} />}
          <Sheet open={role ?? null} proposed={proposed} still={proposes !== null} />
        </>
      ) : (
        <EmptyState title="No role yet">
          {tray.length > 0 && (
            <>
              Build a whole system from the tray: families, a neutral, roles, a light and a dark theme, and
              pairs that all pass. You see it before you apply it.
              <p className="my-3">
                <Button data-next look="primary" onClick={begin}>
                  Make a first system …
                </Button>
              </p>
            </>
          )}
          {hasFamilies && (
            <>
              {tray.length ? 'Or begin' : 'Begin'} with the roles that nearly every page needs, linked to the
              families you have. You see them before you add them.
              <p className="mt-3">
                <Button
                  data-next={!tray.length || undefined}
                  look={tray.length ? 'plain' : 'primary'}
                  onClick={starter.begin}
                >
                  Starter roles …
                </Button>
              </p>
            </>
          )}
          {!tray.length && !hasFamilies && 'Roles link to shades: collect colours first, at Gather.'}
        </EmptyState>
      )}
    </div>
  );
}
